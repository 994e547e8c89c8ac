"""Recordings that were made here and that no saved session has: in a folder of ours until one does."""

from pathlib import Path

from PySide6.QtCore import QObject

from chronotome.bridge.document import OpenSession
from chronotome.bridge.recordings import Recordings
from chronotome.files.takes import HeldTake, discard, hold, takes_folder
from chronotome.session.limits import ContentHash


class UnsavedRecordings(QObject):
    """What this window made: other windows do not ask about it, and once it is saved its copy goes."""

    def __init__(self, recordings: Recordings, document: OpenSession, parent: QObject) -> None:
        super().__init__(parent)
        self._recordings = recordings
        self.held: dict[ContentHash, HeldTake] = {}
        recordings.written_anew.connect(self.add)
        document.saved.connect(self._on_saved)
        document.opened.connect(self._on_opened)

    def add(self, content: ContentHash, path: Path, held: HeldTake | None = None) -> None:
        held = held or hold(path)
        if held is not None:
            self.held[content] = held

    def _on_opened(self) -> None:
        """Those that a session has that was brought back."""
        places = self._recordings.places
        self.held = {content: held for content, held in self.held.items() if content in places}
        for content, path in places.items():
            if path.parent == takes_folder() and content not in self.held:
                self.add(content, path)

    def _on_saved(self) -> None:
        """Those that the session's folder has now are not kept a second time."""
        for content, held in list(self.held.items()):
            place = self._recordings.places.get(content)
            if place is not None and place != held.path and place.is_file():
                held.let_go()
                discard(held.path)
                del self.held[content]
