"""What a tray is: a title, and rows below it."""

from collections.abc import Callable

from PySide6.QtCore import QSize, Qt
from PySide6.QtGui import QShowEvent
from PySide6.QtWidgets import QHBoxLayout

from chronotome.ui.actions.actions import Actions
from chronotome.ui.controls.debounce import Debounce
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.sentence import Sentence
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage

WIDTH, MARGIN, BAR = 300, 16, 8


class Tray(Rows):
    """One stage's settings."""

    def __init__(self, desk: UiContext, actions: Actions, stage: Stage, about: str) -> None:
        super().__init__(desk, actions)
        self.setObjectName("trayBody")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self.make_room(0, 0)
        head = QHBoxLayout()
        title = Label(stage.words)
        title.setObjectName("title")
        self.about = Sentence()
        self.about.setObjectName("soft")
        self.about.setAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
        self.about.say(about)
        head.addWidget(title)
        head.addWidget(self.about, 1)
        self.rows.addLayout(head)

    def make_room(self, _least: int, most: int) -> None:
        """For a scroll bar, where there is one, at the side."""
        side = MARGIN - (BAR if most > 0 else 0)
        self.rows.setContentsMargins(MARGIN, 12, side, 12)

    def sizeHint(self) -> QSize:
        return QSize(WIDTH, super().sizeHint().height())

    def showEvent(self, event: QShowEvent) -> None:
        """Rows that were hidden while the tray was leave its layout as wide as they were: lay it out anew."""
        super().showEvent(event)
        layout = self.layout()
        if layout is not None:
            layout.invalidate()
            layout.activate()
            layout.setGeometry(self.rect())

    def follow_session(self, show: Callable[[], None], *, at_once: bool = True) -> None:
        """Show what is in the session whenever it is another; a moment later while nobody sees it."""
        soon = Debounce(show, self)
        self.desk.store.changed.connect(lambda: show() if at_once and self.isVisible() else soon.ask())

    def finish(self) -> None:
        self.rows.addStretch(1)
