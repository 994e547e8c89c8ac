"""The lanes one above the other, each with its share of the height; tracks above and below the tall one."""

from collections.abc import Mapping, Sequence

from PySide6.QtCore import QEvent, QObject, Qt, Signal
from PySide6.QtGui import QResizeEvent
from PySide6.QtWidgets import QScrollArea, QSplitter, QVBoxLayout, QWidget

from chronotome.session.model import TrackId
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.context_lane import ContextLane

OTHERS = 9
"""The weight of all tracks but the tall one beside those of its lanes, until somebody drags it otherwise."""
LEAST = 40
"""Pixels that a lane keeps, however it is dragged."""


class OtherTracks(QScrollArea):
    """Lanes of the tracks above the tall one, or of those below it; scrolled where there are many."""

    def __init__(self, desk: UiContext, *, is_above: bool) -> None:
        super().__init__()
        self._desk, self._is_above = desk, is_above
        self.lanes: list[ContextLane] = []
        self._column = QWidget()
        self._rows = QVBoxLayout(self._column)
        self._rows.setContentsMargins(0, 0, 0, 0)
        self._rows.setSpacing(0)
        self._rows.addStretch(1)
        self.setObjectName("context")
        self.setWidgetResizable(True)
        self.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.setVerticalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.setWidget(self._column)
        self._column.setAutoFillBackground(False)  # setting it as the widget switched that on
        self.viewport().setAutoFillBackground(False)

    def show_tracks(self, tracks: Sequence[TrackId], made: dict[TrackId, ContextLane]) -> None:
        """Lanes for these, taken out of `made` where there are some."""
        lanes = [made.pop(track) if track in made else ContextLane(self._desk, track) for track in tracks]
        if lanes != self.lanes:
            self.lanes = lanes
            for place, lane in enumerate(lanes):
                self._rows.insertWidget(place, lane)
                lane.show()

    @property
    def wanted(self) -> int:
        """Pixels in which all its lanes are seen."""
        return sum(lane.height() for lane in self.lanes)

    def scroll_near(self) -> None:
        """What is next to the tall lane is in sight."""
        bar = self.verticalScrollBar()
        bar.setValue(bar.maximum() if self._is_above else bar.minimum())


class LaneStack(QSplitter):
    """Named lanes; those in sight have their shares of the height, or what was dragged."""

    shared = Signal()
    """Somebody dragged an edge."""

    def __init__(self, lanes: Sequence[tuple[str, QWidget, int]]) -> None:
        super().__init__(Qt.Orientation.Vertical)
        self._lanes = {name: lane for name, lane, _share in lanes}
        self._usual = {name: share for name, _lane, share in lanes}
        self.dragged: dict[str, float] = {}
        """Shares of lanes whose edges were dragged, by name; of all other tracks together as `others`."""
        self._now: tuple[object, ...] = ()
        self.setHandleWidth(1)
        self.setChildrenCollapsible(False)
        self.setOpaqueResize(True)
        for lane in self._lanes.values():
            policy = lane.sizePolicy()
            policy.setVerticalPolicy(policy.Policy.Expanding)
            lane.setSizePolicy(policy)
            if not isinstance(lane, OtherTracks):
                lane.setMinimumHeight(max(LEAST, lane.minimumHeight()))
            self.addWidget(lane)
        self.splitterMoved.connect(self._on_moved)

    @property
    def _seen(self) -> list[str]:
        return [name for name, lane in self._lanes.items() if not lane.isHidden()]

    @property
    def _others(self) -> list[OtherTracks]:
        return [
            each for each in self._lanes.values() if isinstance(each, OtherTracks) and not each.isHidden()
        ]

    def share_out(self) -> None:
        """Every lane in sight its height; nothing happens while the same ones are in as much room."""
        whole, seen, others = self.height(), self._seen, self._others
        now = (whole, tuple(seen), tuple(each.wanted for each in others), tuple(self.dragged.items()))
        if now == self._now:
            return
        self._now = now
        wanted = sum(each.wanted for each in others)
        least = sum(self._lanes[name].minimumHeight() for name in seen)
        weights = sum(self._usual[name] for name in seen)
        share = min(0.8, self.dragged.get("others", OTHERS / (OTHERS + weights)))
        room = max(0, min(wanted, round(whole * share), whole - least))
        sizes = dict[str, float]()
        for name in seen:
            lane = self._lanes[name]
            if isinstance(lane, OtherTracks):
                sizes[name] = round(room * lane.wanted / max(1, wanted))
                lane.setMaximumHeight(max(1, lane.wanted))
        tall = {name: self.dragged.get(name, float(self._usual[name])) for name in seen if name not in sizes}
        rest = (whole - sum(sizes.values())) / max(1e-6, sum(tall.values()))
        sizes |= {name: weight * rest for name, weight in tall.items()}
        self.setSizes([round(sizes.get(name, 0)) for name in self._lanes])
        for each in others:
            each.scroll_near()

    def _on_moved(self) -> None:
        """Shares as they were dragged: of the tall lanes among one another, of the others in all of it."""
        heights = dict(zip(self._lanes, self.sizes(), strict=True))
        tall = [name for name in self._seen if not isinstance(self._lanes[name], OtherTracks)]
        weights = sum(self.dragged.get(name, float(self._usual[name])) for name in tall)
        whole = max(1, sum(heights[name] for name in tall))
        self.dragged = self.dragged | {name: heights[name] * weights / whole for name in tall}
        if self._others:
            others = sum(heights[name] for name in self._seen if name not in tall)
            self.dragged |= {"others": others / max(1, self.height())}
        wanted = tuple(each.wanted for each in self._others)
        self._now = (self.height(), tuple(self._seen), wanted, tuple(self.dragged.items()))
        self.shared.emit()

    def use(self, dragged: Mapping[str, float]) -> None:
        """Shares as they were kept, of lanes that there are."""
        known = {*self._usual, "others"}
        self.dragged = {name: share for name, share in dragged.items() if name in known}
        self.share_out()

    def usual(self) -> None:
        """As if nobody had dragged."""
        self.use({})
        self.shared.emit()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        self.share_out()

    def createHandle(self) -> "QWidget":  # type: ignore[override]  # of Qt's own handles
        handle = super().createHandle()
        handle.installEventFilter(self)
        return handle

    def eventFilter(self, _watched: QObject, event: QEvent) -> bool:
        """A double click on an edge gives every lane its usual height."""
        if event.type() is QEvent.Type.MouseButtonDblClick:
            self.usual()
            return True
        return False
