"""How the window stood, and what of each session was in sight, when it was left: there again next time."""

from pathlib import Path

from PySide6.QtCore import QByteArray, QObject
from PySide6.QtWidgets import QMainWindow

from chronotome.files.names import path_words
from chronotome.files.places import MOST_RECENT, Sight
from chronotome.ui.desk import Desk
from chronotome.ui.timeline.viewport import Viewport
from chronotome.ui.view_state import Stage


class Restoring(QObject):
    """Knows what is in sight of the session that is open, since one that is left can no longer be asked."""

    def __init__(self, window: QMainWindow, desk: Desk) -> None:
        super().__init__(window)
        self._window, self._desk = window, desk
        self._folder: Path | None = None
        """Of the session in sight; while another is opened, still that of the one before."""
        self._seen: tuple[Path, Sight] | None = None
        for changed in (desk.view.viewport_changed, desk.view.stage_changed, desk.view.focus_changed):
            changed.connect(self._look)
        desk.document.saved.connect(self._on_saved)

    def restore_window(self) -> None:
        """Size and place as they were; Qt keeps it on a screen that is there."""
        kept = self._desk.preferences.settings.window
        if kept:
            self._window.restoreGeometry(QByteArray.fromHex(kept.encode()))

    def opened(self) -> None:
        """Another session is open: keep how the one before was seen, and see this one as it was left."""
        self._keep(self._seen)
        self._seen = None
        folder = self._folder = self._desk.document.folder
        sight = None if folder is None else self._desk.preferences.settings.sights.get(path_words(folder))
        if sight is not None:
            self._show(sight)
        self._look()

    def _on_saved(self) -> None:
        """In another folder, perhaps."""
        self._folder = self._desk.document.folder
        self._look()

    def close(self) -> None:
        self._keep(self._seen)
        geometry = bytes(self._window.saveGeometry().toHex().data()).decode()
        self._desk.preferences.keep(window=geometry)

    def _show(self, sight: Sight) -> None:
        view, session = self._desk.view, self._desk.session
        tracks = [each.id for each in session.tracks if each.id == sight.track]
        if tracks:
            view.focus(tracks[0])
        view.show_stage(Stage(sight.stage))
        shown = Viewport(sight.start, sight.frames_per_pixel, view.viewport.width)
        view.show(shown.held(view.extent))
        self._desk.transport.go_to(sight.position)

    def _look(self) -> None:
        folder, view = self._desk.document.folder, self._desk.view
        if folder is None or folder != self._folder or not self._desk.session.tracks:
            return
        port, track = view.viewport, view.focused
        self._seen = (
            folder,
            Sight(
                int(view.stage),
                port.start,
                port.frames_per_pixel,
                0 if track is None else track.id,
                self._desk.transport.position,
            ),
        )

    def _keep(self, seen: tuple[Path, Sight] | None) -> None:
        if seen is None:
            return
        words, kept = path_words(seen[0]), self._desk.preferences.settings.sights
        others = [(name, sight) for name, sight in kept.items() if name != words]
        self._desk.preferences.keep(sights=dict([(words, seen[1]), *others][:MOST_RECENT]))
