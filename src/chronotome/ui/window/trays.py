"""The trays of all stages, one in sight: each is built when it is first wanted."""

from collections.abc import Callable, Iterator, Mapping

from PySide6.QtCore import Qt, QTimer
from PySide6.QtWidgets import QApplication, QScrollArea, QStackedWidget, QWidget

from chronotome.ui.stages.tray import Tray
from chronotome.ui.state.view_state import Stage

QUIET_MILLISECONDS = 1500


class Trays(QStackedWidget):
    """Pages in the order of the stages, and an empty one behind them."""

    def __init__(self, makers: Mapping[Stage, Callable[[], Tray]]) -> None:
        super().__init__()
        self._makers = makers
        self.made: dict[Stage, Tray] = {}
        self._areas = {stage: self._area() for stage in makers}
        self._nothing = QWidget()
        for page in (*self._areas.values(), self._nothing):
            self.addWidget(page)
        self._quiet = QTimer(self)
        self._quiet.timeout.connect(self._build_next)
        self.setObjectName("tray")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)

    @staticmethod
    def _area() -> QScrollArea:
        area = QScrollArea()
        area.setWidgetResizable(True)
        area.setFocusPolicy(Qt.FocusPolicy.NoFocus)  # what is in it takes the keys, and scrolls it
        area.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        return area

    def __getitem__(self, stage: Stage) -> Tray:
        tray = self.made.get(stage)
        if tray is None:
            tray = self.made[stage] = self._makers[stage]()
            self._areas[stage].setWidget(tray)
            self._areas[stage].verticalScrollBar().rangeChanged.connect(tray.make_room)
        return tray

    def build_quietly(self, milliseconds: int = QUIET_MILLISECONDS) -> None:
        """One after another while no button is held, so that nobody waits for them later."""
        self._quiet.start(milliseconds)

    def _build_next(self) -> None:
        missing = next((stage for stage in self._makers if stage not in self.made), None)
        if missing is None:
            self._quiet.stop()
        elif not QApplication.mouseButtons():
            self[missing]

    def items(self) -> Iterator[tuple[Stage, Tray]]:
        """All of them, in order."""
        return ((stage, self[stage]) for stage in self._makers)

    def show_stage(self, stage: Stage | None) -> None:
        """None: nothing is open, and nothing of what was stands there."""
        if stage is None:
            self.setCurrentWidget(self._nothing)
        else:
            self[stage]
            self.setCurrentWidget(self._areas[stage])
