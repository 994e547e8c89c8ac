"""Clips, a range, hits and patterns as files for other programs: dragged out of the window, or copied."""

from collections.abc import Callable, Sequence
from pathlib import Path

from PySide6.QtCore import QMimeData, QObject, Qt, QUrl
from PySide6.QtGui import QDrag, QGuiApplication
from PySide6.QtWidgets import QWidget

from chronotome.errors import Cancelled
from chronotome.files.audio_out import Encoding
from chronotome.files.dragged import new_file
from chronotome.files.export import export_clips
from chronotome.files.kit_out import write_slice_files
from chronotome.files.midi_out import write_pattern_midi
from chronotome.progress import Progress
from chronotome.session.edits.clips import Place, Range, cut_out
from chronotome.session.edits.kits import kit_of, slices_for_keys
from chronotome.session.model import Clip, Session
from chronotome.session.slices import SliceId
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.clip_drag import ClipDrag
from chronotome.ui.timeline.clip_frames import Grip
from chronotome.ui.timeline.pattern_drag import MoveDrag
from chronotome.ui.timeline.range_drag import RangeDrag
from chronotome.ui.timeline.slice_drag import SliceDrag
from chronotome.words import tr

NAMES = "{name} {number}"
Work = Callable[[Progress], list[Path]]


OURS_ALONE = 0o600
COPIED_FILES = "x-special/gnome-copied-files"
"""What several file managers paste, beside `text/uri-list`."""


class DragOut(QObject):
    """What leaves the window is let go of within it, written, and carried on as files."""

    def __init__(
        self, window: QWidget, desk: UiContext, encoding: Callable[[], Encoding], cancel: Callable[[], bool]
    ) -> None:
        super().__init__(window)
        self._window, self._desk, self._encoding, self._cancel = window, desk, encoding, cancel
        self._is_busy = False
        desk.view.left_window.connect(self._on_left)

    def copy(self) -> None:
        """What is chosen, as files on the clipboard: for those who do not drag."""
        view, clip = self._desk.view, self._desk.view.chosen.clip
        place = view.chosen.place
        if place is None or clip is None:
            self._desk.say(tr("Nothing to copy. Select a clip."))
            return
        if view.chosen.range is not None:
            work = self._of_range(view.chosen.range)
        elif view.chosen.hits:
            work = self._of_hits(place, view.chosen.hits)
        else:
            work = self._of_clips(view.chosen.clips or (place,))
        if work is not None:
            self._run(work, self._to_clipboard)

    def _on_left(self, lane: object) -> None:
        work = None if self._is_busy else self._of(getattr(lane, "drag", None))
        if work is not None:
            self._cancel()
            self._run(work, self._carry)

    def _of(self, drag: object) -> Work | None:
        """What would be written of what is dragged; None for what stays in the window."""
        view = self._desk.view
        if isinstance(drag, ClipDrag) and drag.grip is Grip.BODY:
            return self._of_clips(drag.places)
        if isinstance(drag, SliceDrag):
            return self._of_hits(drag.place, drag.hits)
        if isinstance(drag, MoveDrag) and view.chosen.place is not None:
            return self._of_clips((view.chosen.place,))
        if isinstance(drag, RangeDrag) and drag.held is not None:
            return self._of_range(drag.held)
        return None

    def _of_clips(self, places: Sequence[Place]) -> Work | None:
        """A pattern as MIDI, others as what is heard of them; what is drafted by the drag is not meant."""
        session, (track, clip) = self._desk.store.history.session, self._named(places[0])
        if len(places) == 1 and clip.take.playing is not None:
            take, name = clip.take, f"{clip.name or track}.mid"

            def written(_progress: Progress) -> list[Path]:
                path = new_file(name)
                write_pattern_midi(path, session, take)
                return [path]

            return written
        return self._heard(session, places, clip.name or track)

    def _of_range(self, span: Range) -> Work | None:
        """What sounds in it."""
        session, places = cut_out(self._desk.store.history.session, span)
        return self._heard(session, places, session.track(places[0][0]).name) if places else None

    def _heard(self, session: Session, places: Sequence[Place], name: str) -> Work:
        recordings, encoding = self._desk.recordings, self._encoding()
        sources, arena = recordings.pool.ready(), recordings.arena
        title = f"{name}{encoding.suffix}"

        def rendered(progress: Progress) -> list[Path]:
            path = new_file(title)
            export_clips(session, places, sources, arena, path, encoding, progress)
            return [path]

        return rendered

    def _of_hits(self, place: Place, hits: Sequence[SliceId]) -> Work | None:
        """Each as a file of its own; in a pattern the steps' own clip."""
        session, recordings = self._desk.store.history.session, self._desk.recordings
        track, clip = self._named(place)
        if clip.take.slices is None:
            return self._of_clips((place,))
        pieces = slices_for_keys(session, place, hits)
        if not pieces:
            return None
        kit, encoding = kit_of(clip.name or track, pieces), self._encoding()
        sources, arena = recordings.pool.ready(), recordings.arena

        def written(progress: Progress) -> list[Path]:
            folder = new_file(kit.name)
            write_slice_files(folder, session, kit, sources, arena, encoding, NAMES, progress)
            return sorted(folder.iterdir())

        return written

    def _named(self, place: Place) -> tuple[str, Clip]:
        track = self._desk.store.history.session.track(place[0])
        return track.name, track.clip(place[1])

    def _run(self, work: Work, then: Callable[[list[Path]], None]) -> None:
        self._is_busy = True

        def done(paths: list[Path]) -> None:
            self._is_busy = False
            for path in paths:
                path.chmod(OURS_ALONE)
            then(paths)

        def failed(error: Exception) -> None:
            self._is_busy = False
            if not isinstance(error, Cancelled):
                self._desk.tasks.error.emit(str(error))

        self._desk.tasks.run(tr("Writing dragged file"), work, done, failed)

    def _carry(self, paths: list[Path]) -> None:
        """On under the hand that still holds it; it was let go of meanwhile: once more."""
        if not QGuiApplication.mouseButtons() & Qt.MouseButton.LeftButton:
            self._desk.say(tr("The file is ready. Drag the clip again, or paste the file."))
            self._to_clipboard(paths, is_told=False)
            return
        drag = QDrag(self._window)
        drag.setMimeData(_as_files(paths))
        self._exec(drag)

    def _exec(self, drag: QDrag) -> None:
        done = drag.exec(Qt.DropAction.CopyAction)
        self._desk.say(
            tr("File dropped")
            if done is Qt.DropAction.CopyAction
            else tr("Drop failed: no window took the file")
        )

    def _to_clipboard(self, paths: list[Path], *, is_told: bool = True) -> None:
        QGuiApplication.clipboard().setMimeData(_as_files(paths))
        if is_told:
            self._desk.say(tr("{0} copied. Paste in a file manager.", counted(len(paths), "file")))


def _as_files(paths: Sequence[Path]) -> QMimeData:
    """As other programs take files: a list of places, and the form in which some file managers paste them."""
    data = QMimeData()
    urls = [QUrl.fromLocalFile(str(path)) for path in paths]
    data.setUrls(urls)
    listed = [url.toString(QUrl.ComponentFormattingOption.FullyEncoded) for url in urls]
    data.setData(COPIED_FILES, "\n".join(["copy", *listed]).encode())
    return data
