"""A side of the window: dragged wider, or folded to a rim of figures that it comes out of."""

from PySide6.QtCore import QEvent, QPoint, QRect, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QCursor, QEnterEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QApplication, QWidget

from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.panels.rail import Rail
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.view_state import Stage, ViewState
from chronotome.words import tr

GRIP = 5
"""Pixels at the inner edge by which it is dragged."""
COMES_AFTER, LOOKS_EVERY = 200, 150
"""Milliseconds until more comes out under a pointer, and between looks whether it is gone."""
TOP, ROW = 8, 50
MOST_FIGURES = 3


class Rim(QWidget):
    """All that is left of a folded side: its figures, which stay live."""

    def __init__(self, side: "SidePanel", width: int) -> None:
        super().__init__(side)
        self.side = side
        self.setFixedWidth(width)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self._waiting = QTimer(self)
        self._waiting.setSingleShot(True)
        self._waiting.setInterval(COMES_AFTER)
        self._waiting.timeout.connect(side.come_out)

    def enterEvent(self, _event: QEnterEvent) -> None:
        self.side.view.hint(tr("Rest the pointer here to bring this panel out, or press F6"))
        self._waiting.start()

    def leaveEvent(self, _event: QEvent) -> None:
        self.side.view.hint("")
        self._waiting.stop()

    def mousePressEvent(self, _event: QMouseEvent) -> None:
        self.side.come_out()


class StagesRim(Rim):
    """The number of each stage, and its key figure below it; a click goes there."""

    def __init__(self, side: "SidePanel", rail: Rail, view: ViewState) -> None:
        super().__init__(side, 44)
        self._rail, self._view = rail, view
        self.setAccessibleName(tr("Stages"))
        view.stage_changed.connect(self.update)
        rail.shown.connect(self.update)

    def row_of(self, stage: Stage) -> QRect:
        return QRect(0, TOP + (int(stage) - 1) * (ROW + 4), self.width(), ROW)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        for stage in Stage:
            if self.row_of(stage).contains(event.position().toPoint()):
                self._view.show_stage(stage)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter.fillRect(self.rect(), colour(theme.panel))
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        for stage in Stage:
            row, is_current = self.row_of(stage), stage is self._view.stage
            figures = self._rail.cards[stage].figures
            if is_current:
                painter.setPen(Qt.PenStyle.NoPen)
                painter.setBrush(colour(theme.card))
                painter.drawRoundedRect(QRectF(row).adjusted(3, 0, 8, 0), 5, 5)
                painter.setBrush(colour(theme.accent))
                painter.drawRoundedRect(QRectF(3, row.top() + 8, 3, ROW - 16), 1.5, 1.5)
            painter.setFont(figure_font(10))
            painter.setPen(colour(theme.accent if is_current else theme.soft_ink))
            painter.drawText(row.adjusted(11, 7, 0, 0), str(int(stage)))
            if figures.to_check:
                painter.setPen(Qt.PenStyle.NoPen)
                painter.setBrush(colour(theme.late))
                painter.drawEllipse(QRectF(24, row.top() + 9, 6, 6))
            first, *more = figures.key.split(" ")
            painter.setPen(colour(theme.ink))
            is_figure = any(each.isdigit() for each in first) and bool(more)
            painter.drawText(row.adjusted(11, 25, 0, 0), first[:5] if is_figure else "–")


class TrayRim(Rim):
    """The stage's name and the values of its first sliders, read from above to below."""

    def __init__(self, side: "SidePanel", view: ViewState) -> None:
        super().__init__(side, 26)
        self._view = view
        self.setAccessibleName(tr("Tray"))
        for changed in (view.stage_changed, view.chosen.focus_changed, view.chosen.changed):
            changed.connect(self.update)

    @property
    def figures(self) -> str:
        content = self.side.content
        seen = [
            each
            for each in content.findChildren(ValueSlider)
            if each.isVisibleTo(content) and each.isEnabled()
        ]
        words = (f"{each.accessibleName()} {each.words}" for each in seen[:MOST_FIGURES])
        return "   ·   ".join(words)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter.fillRect(self.rect(), colour(theme.card))
        painter.setPen(colour(theme.rule))
        painter.drawLine(0, 0, 0, self.height())
        painter.translate(self.width(), 0)
        painter.rotate(90)
        painter.setFont(text_font(12, 600))
        painter.setPen(colour(theme.ink))
        words = self._view.stage.words
        painter.drawText(QRectF(16, 0, 200, self.width()), Qt.AlignmentFlag.AlignVCenter, words)
        left = 16 + painter.fontMetrics().horizontalAdvance(words) + 24
        painter.setFont(text_font(11))
        painter.setPen(colour(theme.soft_ink))
        room = self.height() - left - 8
        fitting = painter.fontMetrics().elidedText(self.figures, Qt.TextElideMode.ElideRight, room)
        painter.drawText(QRectF(left, 0, room, self.width()), Qt.AlignmentFlag.AlignVCenter, fitting)


class PanelGrip(QWidget):
    """The inner edge: dragged it sets the width, far enough it folds; a double click folds too."""

    def __init__(self, side: "SidePanel") -> None:
        super().__init__(side.parentWidget())
        self._side = side
        self._at: int | None = None
        self._was = 0
        self.setCursor(Qt.CursorShape.SplitHCursor)
        self.setToolTip(tr("Drag to resize, double-click to fold"))

    def mousePressEvent(self, event: QMouseEvent) -> None:
        self._at, self._was = round(event.globalPosition().x()), self._side.wide

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self._at is not None:
            moved = round(event.globalPosition().x()) - self._at
            self._side.drag_to(self._was + (moved if self._side.is_left else -moved))

    def mouseReleaseEvent(self, _event: QMouseEvent) -> None:
        if self._at is not None:
            self._at = None
            self._side.changed.emit()

    def mouseDoubleClickEvent(self, _event: QMouseEvent) -> None:
        self._side.fold(is_folded=True)
        self._side.changed.emit()

    def cancel(self) -> bool:
        if self._at is None:
            return False
        self._at = None
        self._side.drag_to(self._was)
        return True

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        if self.underMouse() or self._at is not None:
            painter.fillRect(self.rect(), colour(self._side.view.theme.accent, 120))


class SidePanel(QWidget):
    """Keeps room for `content`, which lies over it, or beside the rim over the lanes while it is out."""

    came_out = Signal()
    changed = Signal()
    """Somebody dragged or folded it."""

    def __init__(
        self, content: QWidget, view: ViewState, *, widths: tuple[int, int, int], left: bool
    ) -> None:
        """`widths`: the least it can be dragged to, the usual, the most."""
        super().__init__()
        self.content, self.view, self.is_left = content, view, left
        self._least, self.usual, self._most = widths
        self.wide = self.usual
        self.is_folded = False
        self._is_pressed = False
        self._is_out = False
        self.rim: Rim | None = None
        self._looking = QTimer(self)
        self._looking.setInterval(LOOKS_EVERY)
        self._looking.timeout.connect(self._look)

    def stand_in(self, body: QWidget, rim: Rim) -> None:
        """Over `body`, whose layout this is in."""
        self.rim = rim
        self.content.setParent(body)
        self.grip = PanelGrip(self)
        self._arrange()

    @property
    def is_small(self) -> bool:
        """Whether only the rim has room of its own."""
        return self.is_folded or self._is_pressed

    @property
    def kept_width(self) -> int:
        """0 as long as nobody dragged it."""
        return 0 if self.wide == self.usual else self.wide

    @property
    def is_out(self) -> bool:
        return self.is_small and self._is_out

    def out_mark(self) -> object:
        """For Escape, which lets it in again."""
        return self.is_out or None

    def fold(self, *, is_folded: bool) -> None:
        self.is_folded, self._is_out = is_folded, False
        self._arrange()

    def press(self, *, is_pressed: bool) -> None:
        """Only the rim, for as long as the lanes have all of the window."""
        self._is_pressed, self._is_out = is_pressed, False
        self._arrange()

    def drag_to(self, width: int) -> None:
        """Wide; folded once it is dragged to less than half of the least, back out from there on."""
        self.is_folded = width < self._least / 2
        self.wide = min(self._most, max(self._least, width))
        self._arrange()

    def update_rim(self) -> None:
        """Its figures are others."""
        if self.rim is not None:
            self.rim.update()

    def come_out(self) -> None:
        """Over the lanes, until pointer and keys have left it."""
        if self.is_small:
            self._is_out = True
            self._arrange()
            self._looking.start()
            self.came_out.emit()

    def go_in(self) -> bool:
        """False where it is not out."""
        was_out, self._is_out = self.is_out, False
        self._looking.stop()
        if was_out:
            if self.content.isAncestorOf(QApplication.focusWidget() or self):
                self.window().setFocus()
            self._arrange()
        return was_out

    def _look(self) -> None:
        place = QRect(self.content.mapToGlobal(QPoint(0, 0)), self.content.size())
        rim = QRect(self.mapToGlobal(QPoint(0, 0)), self.size())
        is_held = bool(QApplication.mouseButtons()) or QApplication.activePopupWidget() is not None
        focus = QApplication.focusWidget()
        has_keys = focus is not None and self.content.isAncestorOf(focus)
        if not (is_held or has_keys or place.united(rim).contains(QCursor.pos())):
            self.go_in()

    def _arrange(self) -> None:
        rim = self.rim
        if rim is None:
            return
        rim.setVisible(self.is_small)
        self.setFixedWidth(rim.width() if self.is_small else self.wide)
        rim.resize(rim.width(), self.height())
        is_seen = self.isVisible() and (self._is_out or not self.is_small)
        place = self.geometry()
        if self.is_small:
            left = place.right() + 1 if self.is_left else place.left() - self.wide
            place = QRect(left, place.top(), self.wide, place.height())
        self.content.setGeometry(place)
        self.content.setVisible(is_seen)
        self.grip.setGeometry(
            place.right() + 1 - GRIP if self.is_left else place.left(), place.top(), GRIP, place.height()
        )
        self.grip.setVisible(is_seen and not self.is_small)
        self.content.raise_()
        self.grip.raise_()

    def event(self, event: QEvent) -> bool:
        result = super().event(event)
        if event.type() in {QEvent.Type.Resize, QEvent.Type.Move, QEvent.Type.Show, QEvent.Type.Hide}:
            self._arrange()
        return result

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        painter.fillRect(self.rect(), colour(self.view.theme.panel))
        painter.setPen(QPen(colour(self.view.theme.rule)))
        x = self.width() - 1 if self.is_left else 0
        painter.drawLine(x, 0, x, self.height())
