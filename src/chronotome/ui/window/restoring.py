"""How the window stood, and what of each session was in sight, when it was left: there again next time."""

from pathlib import Path

from PySide6.QtCore import QByteArray, QObject, QTimer

from chronotome.files.names import path_words
from chronotome.files.places import MOST_RECENT, ViewPosition
from chronotome.ui.panels.recent import wave_of
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.state.viewport import Viewport
from chronotome.ui.window.frame import Frame

DRAWN_MILLISECONDS = 1500
SIDES = ("rail", "tray")
"""As settings call them, in the order of the window's sides."""


class Restoring(QObject):
    """Knows what is in sight of the session that is open, since one that is left can no longer be asked."""

    def __init__(self, window: Frame, desk: UiContext) -> None:
        super().__init__(window)
        self._window, self._desk = window, desk
        self._folder: Path | None = None
        """Of the session in sight; while another is opened, still that of the one before."""
        self._seen: tuple[Path, ViewPosition] | None = None
        self._wave = ""
        """A picture of what is open."""
        self._drawing = QTimer(self)
        self._drawing.setSingleShot(True)
        self._drawing.setInterval(DRAWN_MILLISECONDS)
        self._drawing.timeout.connect(self._draw)
        self._restore_window()
        if not window.is_first:  # what is in sight of a session is kept of its first window
            return
        for changed in (
            desk.view.sight.viewport_changed,
            desk.view.stage_changed,
            desk.view.chosen.focus_changed,
        ):
            changed.connect(self.look)
        for other in (desk.store.kept, desk.rendering.rendered):
            other.connect(self._drawing.start)
        for side in window.sides:
            side.changed.connect(self.look)
        window.timeline.stack.shared.connect(self.look)
        desk.document.saved.connect(self._on_saved)

    def _restore_window(self) -> None:
        """Size and place as they were; Qt keeps it on a screen that is there."""
        settings = self._desk.preferences.settings
        kept = settings.window if self._window.is_first else settings.second_window
        if kept:
            self._window.restoreGeometry(QByteArray.fromHex(kept.encode()))

    def keep_geometry(self) -> None:
        geometry = bytes(self._window.saveGeometry().toHex().data()).decode()
        name = "window" if self._window.is_first else "second_window"
        self._desk.preferences.keep(**{name: geometry})

    def opened(self) -> None:
        """Another session is open: keep how the one before was seen, and see this one as it was left."""
        self._keep(self._seen)
        self._seen = None
        folder = self._folder = self._desk.document.folder
        sight = None if folder is None else self._desk.preferences.settings.sights.get(path_words(folder))
        self._wave = "" if sight is None else sight.wave
        if sight is not None:
            self._show(sight)
        self.look()

    def _draw(self) -> None:
        """What is open, small, once nothing has happened for a while."""
        if self._desk.document.folder is not None:
            self._wave = wave_of(self._desk)
            self.look()

    def _on_saved(self) -> None:
        """In another folder, perhaps."""
        self._folder = self._desk.document.folder
        self.look()

    def close(self) -> None:
        self._keep(self._seen)
        self.keep_geometry()

    def _show(self, sight: ViewPosition) -> None:
        view, session = self._desk.view, self._desk.session
        tracks = [each.id for each in session.tracks if each.id == sight.track]
        if tracks:
            view.chosen.focus(tracks[0])
        view.show_stage(Stage(sight.stage))
        shown = Viewport(sight.start, sight.frames_per_pixel, view.sight.viewport.width)
        view.sight.show(shown.held(view.sight.extent))
        self._desk.transport.go_to(sight.position)
        window = self._window
        for side, width in zip(window.sides, (sight.rail, sight.tray), strict=True):
            side.drag_to(width or side.usual)
        for name, side in zip(SIDES, window.sides, strict=True):
            side.fold(is_folded=name in sight.folded)
        window.timeline.stack.use(sight.heights)
        if window.is_large != ("rest" in sight.folded):
            window.toggle_large()

    def look(self) -> None:
        folder, view = self._desk.document.folder, self._desk.view
        if (
            folder is None
            or folder != self._folder
            or not self._window.is_first
            or not self._desk.session.tracks
        ):
            return
        port, track, window = view.sight.viewport, view.chosen.focused, self._window
        folded = tuple(name for name, side in zip(SIDES, window.sides, strict=True) if side.is_folded)
        folded += ("rest",) * window.is_large
        self._seen = (
            folder,
            ViewPosition(
                stage=int(view.stage),
                start=port.start,
                frames_per_pixel=port.frames_per_pixel,
                track=0 if track is None else track.id,
                position=self._desk.transport.position,
                rail=window.rail_side.kept_width,
                tray=window.tray_side.kept_width,
                wave=self._wave,
                tempo=self._desk.session.tempo.at(0.0),
                tracks=len(self._desk.session.tracks),
                folded=folded,
                heights=window.timeline.stack.dragged,
            ),
        )

    def _keep(self, seen: tuple[Path, ViewPosition] | None) -> None:
        if seen is None:
            return
        words, kept = path_words(seen[0]), self._desk.preferences.settings.sights
        others = [(name, sight) for name, sight in kept.items() if name != words]
        self._desk.preferences.keep(sights=dict([(words, seen[1]), *others][:MOST_RECENT]))
