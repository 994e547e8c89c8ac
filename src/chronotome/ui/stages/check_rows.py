"""The places to check at the foot of Tighten's tray."""

from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QFontMetrics, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QGridLayout, QHBoxLayout, QPushButton, QSizePolicy, QVBoxLayout, QWidget

from chronotome.session.check import NOTHING, Check, Kind
from chronotome.session.metre import position_words
from chronotome.session.model import Take, Track
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.debounce import Debounce
from chronotome.ui.controls.plain_text import Label, tip
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr

MOST_CHECKS = 3
LINE_PLACES = ((0, 0, 1), (0, 1, 1), (0, 2, 1))
MEND_PLACES = ((0, 0, 2), (0, 2, 1), (1, 0, 2))
"""Row, first column and columns of each button: mends name tracks, and take more room."""


class CheckRow(QWidget):
    """A place to check; click to go there."""

    def __init__(self, desk: UiContext, commands: Commands, check: Check) -> None:
        super().__init__()
        self._desk, self._commands, self.check = desk, commands, check
        self.setFixedHeight(30)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self.setToolTip(tip(f"{check.title}: {check.sentence}".replace("\n", " ")))
        self.setAccessibleName(f"{check.title}, {check.figure}")

    def mousePressEvent(self, _event: QMouseEvent) -> None:
        self._commands.go_to_check(self.check)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._desk.view.theme
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        is_selected = self._desk.view.chosen.onset == self.check.onset
        box = QRectF(0.5, 0.5, self.width() - 1, self.height() - 1)
        painter.setPen(QPen(colour(theme.strong_rule if is_selected else theme.rule), 1))
        painter.setBrush(colour(theme.wash if is_selected else theme.paper))
        painter.drawRoundedRect(box, 6, 6)
        painter.setPen(colour(theme.ink))
        painter.setFont(figure_font(11))
        where = position_words(self.check.beat, self._desk.session.metre)
        painter.drawText(box.adjusted(8, 0, 0, 0), Qt.AlignmentFlag.AlignVCenter, where)
        painter.setFont(text_font(11))
        room = (
            round(box.width()) - 66 - 16 - QFontMetrics(figure_font(11)).horizontalAdvance(self.check.figure)
        )
        title = painter.fontMetrics().elidedText(self.check.title, Qt.TextElideMode.ElideRight, room)
        painter.drawText(box.adjusted(66, 0, 0, 0), Qt.AlignmentFlag.AlignVCenter, title)
        painter.setFont(figure_font(11))
        painter.setPen(colour(theme.late))
        flags = Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight
        painter.drawText(box.adjusted(0, 0, -8, 0), flags, self.check.figure)


class CheckRows(Rows):
    """The first of them, which kind of them, and what can be done about the selected one."""

    def __init__(self, desk: UiContext, actions: Actions, commands: Commands) -> None:
        super().__init__(desk, actions)
        self._commands = commands
        row = QHBoxLayout()
        self.rows.addLayout(row)
        self.to_check = Label(tr("To check"))
        self.to_check.setObjectName("heading")
        self.kind = Combo(tr("Kinds of checks"), [tr("all kinds"), *(each.label for each in Kind), ""])
        self.kind.activated.connect(self._choose_kind)
        row.addWidget(self.to_check)
        row.addWidget(self.kind, 1)
        self._places = QVBoxLayout()
        self._places.setSpacing(4)
        self.rows.addLayout(self._places)
        self._grid = QGridLayout()
        self._grid.setSpacing(8)
        self.rows.addLayout(self._grid)
        self.decisions = [QPushButton() for _ in ("to-earlier", "leave-hit", "to-later")]
        for column, (button, name) in enumerate(
            zip(self.decisions, ("to-earlier", "leave-hit", "to-later"), strict=True)
        ):
            actions.attach(button, name)
            button.setObjectName("band")
            button.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Fixed)
            self._grid.setColumnStretch(column, 1)
        self.kind.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Fixed)
        self.shown: list[CheckRow] = []
        self._soon = Debounce(self._show, self)
        desk.view.chosen.changed.connect(self._show_selection)
        desk.rendering.checked.connect(self.ask)

    @property
    def _leading(self) -> tuple[Track, Take | None] | None:
        leading, guiding = self.desk.view.leading, self.desk.guiding
        return None if leading is None else (leading[0], None if guiding is None else guiding.take)

    def _choose_kind(self, index: int) -> None:
        """One kind, or what is to be checked in Mark, which is shown there."""
        kinds = [None, *Kind]
        if index < len(kinds):
            self.desk.view.show_kind(kinds[index])
            return
        self.ask()
        self.desk.view.show_stage(Stage.MARK)
        self._commands.next_check()

    def _count_marks(self) -> None:
        """How many there are in Mark, as the last of the kinds."""
        leading = self._leading
        count = 0 if leading is None else len(self.desk.mark_checks(*leading))
        self.kind.setItemText(len(Kind) + 1, tr("in Mark: {0}", count) if count else tr("none in Mark"))

    def ask(self) -> None:
        """Show them anew, once there is time."""
        self._soon.ask()

    def _show(self) -> None:
        checks = NOTHING if self._leading is None else self.desk.checks(*self._leading)
        checks = checks.of_kind(self.desk.view.check_kind)
        kind = self.desk.view.check_kind
        self._count_marks()
        self.kind.setCurrentIndex(0 if kind is None else 1 + list(Kind).index(kind))
        most = MOST_CHECKS - (self.desk.view.recipe.match is not None)  # whose rows need the room of one
        more = tr(", {0} hidden", len(checks) - most) if len(checks) > most else ""
        self.to_check.setText(tr("To check: {0}{1}", len(checks), more) if checks else tr("Nothing to check"))
        if [row.check for row in self.shown] == list(checks[:most]):
            self._show_selection()
            return
        for row in self.shown:
            row.hide()
            self._places.removeWidget(row)
            row.deleteLater()
        self.shown = [CheckRow(self.desk, self._commands, check) for check in checks[:most]]
        for row in self.shown:
            self._places.addWidget(row)
        self._show_selection()

    def _show_selection(self) -> None:
        for row in self.shown:
            row.update()
        onset = self.desk.view.chosen.onset
        check = None if self._leading is None else self.desk.checks(*self._leading).of(onset)
        words = (tr("Earlier"), tr("As played"), tr("Later"))
        is_line = check is None or check.earlier is not None
        places = LINE_PLACES if is_line else MEND_PLACES
        if check is not None and not is_line:
            ways = [mend.words for mend in check.mends]
            words = (ways[0] if ways else "", tr("Accept"), ways[-1] if len(ways) > 1 else "")
        for button, each, place in zip(self.decisions, words, places, strict=True):
            self._grid.addWidget(button, place[0], place[1], 1, place[2])
            button.setText(each)
            button.setEnabled(check is not None and bool(each))
            button.setVisible(len(self.shown) > 0 and bool(each))
