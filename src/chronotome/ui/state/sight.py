"""Where one looks: the part of the time axis that is in sight."""

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.store import Store
from chronotome.session.anchors import extent_of
from chronotome.session.model import Session
from chronotome.ui.state.viewport import Viewport

RESTING_MILLISECONDS = 60
FITTING_MILLISECONDS = 20
"""After an edit, until all of it is in sight again: first it is rendered, which works out how long it is."""


class Sight(QObject):
    """One `Viewport`; what shows all of the session goes on showing all of it, however long it becomes."""

    viewport_changed = Signal()
    rested = Signal()
    """Scrolling and zooming have paused."""

    def __init__(self, store: Store) -> None:
        super().__init__(store)
        self._store = store
        self.viewport = Viewport()
        self.is_whole = True
        """Nobody has looked closer since all of it was shown."""
        self._resting = QTimer(self)
        self._resting.setSingleShot(True)
        self._resting.setInterval(RESTING_MILLISECONDS)
        self._resting.timeout.connect(self.rested)
        self._fitting = QTimer(self)
        self._fitting.setSingleShot(True)
        self._fitting.setInterval(FITTING_MILLISECONDS)
        self._fitting.timeout.connect(self._fit_again)
        store.changed.connect(self._on_session)

    def show(self, viewport: Viewport) -> None:
        """Another part of it, as somebody wants it."""
        self.is_whole = False
        self._become(viewport)

    def _become(self, viewport: Viewport) -> None:
        if viewport != self.viewport:
            self.viewport = viewport
            self._resting.start()
            self.viewport_changed.emit()

    @property
    def is_moving(self) -> bool:
        """It was scrolled or zoomed just now: lanes beside the tall one may be coarse until it rests."""
        return self._resting.isActive()

    def resize(self, width: int) -> None:
        """As wide as the lanes are; what shows all of it goes on doing so."""
        if self.is_whole:
            self._become(self.viewport.resized(width).fitted(0, self.extent))
        else:
            self._become(self.viewport.resized(width))

    def turn_to(self, frame: float) -> None:
        """Turn the page, so that a playhead stays in sight; nobody looked closer by that."""
        self._become(self.viewport.following(frame))

    def zoom(self, factor: float, x: float | None = None) -> None:
        """Zoom about a pixel, the middle where none is given."""
        at = self.viewport.width / 2 if x is None else x
        self.show(self.viewport.zoomed(factor, at, self.extent))

    def scroll(self, pixels: float) -> None:
        self.show(self.viewport.scrolled(pixels, self.extent))

    @property
    def extent(self) -> int:
        """Frames of all of it, as played or as it sounds."""
        return max(1, extent_of(self._store.session))

    def fit(self) -> None:
        """All of it, until somebody looks closer."""
        self.is_whole = True
        self._become(self.viewport.fitted(0, self.extent))

    def _on_session(self, before: Session, after: Session) -> None:
        """What showed all of it shows all of it, however long it has become."""
        if before.rate != after.rate:
            self._become(self.viewport.at_rate(after.rate / before.rate))
        if self.is_whole and not self._fitting.isActive():
            self._fitting.start()

    def _fit_again(self) -> None:
        if self.is_whole and not self._store.is_drafting:
            self._become(self.viewport.fitted(0, self.extent))

    def center_on(self, frame: float) -> None:
        """Bring a frame into the middle unless it is well in sight."""
        viewport = self.viewport
        x = viewport.x_of(frame)
        if not 0.1 * viewport.width < x < 0.9 * viewport.width:
            self.scroll(x - viewport.width / 2)
