"""Fits stay with their recordings: kept for other sessions, and written beside a file where that is asked."""

from pathlib import Path

from PySide6.QtCore import QObject

import chronotome
from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.errors import ChronotomeError
from chronotome.files.fit_file import keep_fit, write_sidecar
from chronotome.session.fit import Fit
from chronotome.session.history import History
from chronotome.session.limits import ContentHash
from chronotome.words import tr

OURS = Path(chronotome.__file__).parent
"""The program's own folder, where the demo lies: nothing is written there."""


class Fits(QObject):
    """What a person said of recordings, on disk."""

    def __init__(self, store: Store, tasks: Tasks, recordings: Recordings) -> None:
        super().__init__(store)
        self._store, self._tasks, self._recordings = store, tasks, recordings
        self._known: dict[ContentHash, Fit] = {}
        self.left_alone: Path | None = None
        """The session's folder of which a copy is open."""
        store.kept.connect(self._on_kept)

    def write(self, content: ContentHash) -> None:
        """Write the fit beside the recording's file."""
        recording, place = self._store.session.recording_with(content), self._recordings.places.get(content)
        if place is None:
            self._tasks.told.emit(
                tr("{0} is missing. Choose File > Import > Find missing recordings.", recording.file)
            )
            return
        if any(place.is_relative_to(folder) for folder in (OURS, self.left_alone) if folder is not None):
            self._tasks.told.emit(
                tr("{0} belongs to a session that is open elsewhere. Save this copy first.", recording.file)
            )
            return
        try:
            self._tasks.told.emit(tr("Saved {0}", write_sidecar(recording, place)))
        except ChronotomeError as error:
            self._tasks.error.emit(str(error))

    def _on_kept(self, kind: str, history: History) -> None:
        """A fit that was changed is kept."""
        for recording in history.session.recordings:
            before = self._known.get(recording.content, Fit())
            if recording.fit is not before and recording.fit != before and kind != "reset":
                keep_fit(recording)
            self._known[recording.content] = recording.fit
