"""Grooves on the shelf: the person's own and the shipped ones as small pictures, heard on what plays."""

from pathlib import Path

from PySide6.QtCore import QEvent, QModelIndex, QPersistentModelIndex, QPointF, QRect, QRectF, QSize, Qt
from PySide6.QtGui import QKeyEvent, QPainter, QPen
from PySide6.QtWidgets import (
    QHBoxLayout,
    QListWidget,
    QListWidgetItem,
    QPushButton,
    QStyle,
    QStyledItemDelegate,
    QStyleOptionViewItem,
    QVBoxLayout,
    QWidget,
)

from chronotome.errors import CannotWrite
from chronotome.files.grooves import forget_groove, kept_grooves, shipped_grooves
from chronotome.files.names import shown
from chronotome.session.groove import Groove
from chronotome.ui.commands.grooves import GrooveCommands
from chronotome.ui.controls.offering import offer
from chronotome.ui.controls.plain_text import Label, tip
from chronotome.ui.state.figures import counted, grid_words
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

ROW, PICTURE = 62, 30
SOFT_DB, LEAST_REACH = 24.0, 12.0
"""A step this far below the loudest is as narrow as any; so many ms fill the picture, or more."""
GROOVE = Qt.ItemDataRole.UserRole
PLACE = Qt.ItemDataRole.UserRole + 1
Index = QModelIndex | QPersistentModelIndex


class GrooveDelegate(QStyledItemDelegate):
    """A name, what it is, and a bar of it: early above the line, late below, loud ones wide."""

    def __init__(self, desk: UiContext, parent: QWidget) -> None:
        super().__init__(parent)
        self._desk = desk

    def sizeHint(self, _option: QStyleOptionViewItem, _index: Index) -> QSize:
        return QSize(200, ROW)

    def paint(self, painter: QPainter, option: QStyleOptionViewItem, index: Index) -> None:
        theme, box, groove = self._desk.view.theme, QRect(option.rect), index.data(GROOVE)
        painter.save()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if option.state & QStyle.StateFlag.State_Selected:
            painter.fillRect(box, colour(theme.wash))
        painter.setFont(text_font(12, 600))
        painter.setPen(colour(theme.ink))
        words = box.adjusted(6, 4, -6, 0)
        painter.drawText(words, Qt.AlignmentFlag.AlignLeft, groove.name)
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        whose = tr("yours") if index.data(PLACE) else tr("built in")
        about = f"{grid_words(groove.grid)} · {counted(groove.bars, 'bar')} · {whose}"
        painter.drawText(words, Qt.AlignmentFlag.AlignRight, about)
        picture = QRectF(box.left() + 6, box.bottom() - PICTURE - 4, box.width() - 12, PICTURE)
        self._paint_bar(painter, picture, groove)
        painter.restore()

    def _paint_bar(self, painter: QPainter, box: QRectF, groove: Groove) -> None:
        theme, metre = self._desk.view.theme, groove.metre
        middle = box.center().y()
        painter.setPen(QPen(colour(theme.rule), 1))
        painter.drawLine(QPointF(box.left(), middle), QPointF(box.right(), middle))
        scale = (box.width() - 12) / groove.length
        for number in range(int(groove.length / metre.beat) + 1):
            x = box.left() + 6 + number * metre.beat * scale
            painter.setPen(QPen(colour(theme.strong_rule if number % metre.beats else theme.ink), 1))
            painter.drawLine(QPointF(x, box.top()), QPointF(x, box.bottom()))
        reach = max([LEAST_REACH, *(abs(step.offset_ms) for step in groove.steps)])
        loudest = max((step.level_db for step in groove.steps), default=0.0)
        painter.setPen(Qt.PenStyle.NoPen)
        for step in groove.steps:
            x = box.left() + 6 + step.beat * scale
            wide = 2 + 5 * max(0.0, 1 + (step.level_db - loudest) / SOFT_DB)
            away = step.offset_ms / reach * (box.height() / 2 - 1)
            value = theme.late if away > 0 else theme.early
            painter.setBrush(colour(theme.ink if abs(step.offset_ms) < 1 else value))
            painter.drawRect(QRectF(x - wide / 2, min(middle, middle + away) - 1, wide, abs(away) + 2))


class GrooveList(QListWidget):
    """Enter plays a groove for good, Delete takes one of one's own away, Escape leaves all as it was."""

    def __init__(self, shelf: "GrooveShelf") -> None:
        super().__init__()

        self._keys = {
            Qt.Key.Key_Return: shelf.take,
            Qt.Key.Key_Enter: shelf.take,
            Qt.Key.Key_Delete: shelf.forget,
            Qt.Key.Key_Escape: shelf.drop,
        }

    def event(self, event: QEvent) -> bool:
        """These keys are the list's, whatever they do elsewhere."""
        is_asked = event.type() is QEvent.Type.ShortcutOverride
        if is_asked and isinstance(event, QKeyEvent) and event.key() in self._keys:
            event.accept()
            return True
        return super().event(event)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        does = self._keys.get(Qt.Key(event.key()))
        if does is None:
            super().keyPressEvent(event)
        else:
            does()


class GrooveShelf(QWidget):
    """A click tightens what the tray is for by a groove, for as long as one listens; Enter keeps it so."""

    def __init__(self, desk: UiContext, commands: GrooveCommands) -> None:
        super().__init__()
        self._desk, self._commands = desk, commands
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.setSpacing(8)
        self.list = GrooveList(self)
        self.list.setObjectName("grooves")
        self.list.setAccessibleName(tr("Grooves on the shelf"))
        self.list.setItemDelegate(GrooveDelegate(desk, self.list))
        self.list.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.list.currentItemChanged.connect(lambda *_: self._hear())
        self.list.itemDoubleClicked.connect(lambda _item: self.take())
        offer(
            self.list,
            ((tr("Use groove"), self.take), (tr("Preview"), self._hear), (tr("Undo preview"), self.drop)),
        )
        layout.addWidget(self.list, 1)
        self.told = Label("")
        self.told.setObjectName("soft")
        self.told.setWordWrap(True)
        self.told.setFixedHeight(34)
        layout.addWidget(self.told)
        row = QHBoxLayout()
        self.as_it_was = QPushButton(tr("Undo preview"))
        self.as_it_was.clicked.connect(self.drop)
        self.play = QPushButton(tr("Use groove"))
        self.play.clicked.connect(self.take)
        for button in (self.as_it_was, self.play):
            row.addWidget(button)
        layout.addLayout(row)
        desk.view.library_changed.connect(self.fill)
        desk.view.chosen.focus_changed.connect(self._on_focus)
        desk.store.changed.connect(self._on_session)
        self.fill()

    @property
    def groove(self) -> Groove | None:
        """The one that is chosen in the list."""
        item = self.list.currentItem()
        return None if item is None else item.data(GROOVE)

    def fill(self) -> None:
        """The person's own first."""
        self.list.blockSignals(True)
        self.list.clear()
        places: list[tuple[Path | None, Groove]] = [*kept_grooves()]
        for place, groove in [*places, *((None, each) for each in shipped_grooves())]:
            item = QListWidgetItem(self.list)
            item.setData(GROOVE, groove)
            item.setData(PLACE, place)
            item.setData(Qt.ItemDataRole.AccessibleTextRole, groove.name)
            steps, grid = counted(len(groove.steps), "step"), grid_words(groove.grid)
            item.setToolTip(tip(tr("{0}: {1} of {2}", groove.name, steps, grid)))
        self.list.setCurrentRow(-1)
        self.list.blockSignals(False)
        self._tell()

    def _hear(self) -> None:
        if self.groove is not None and self.isVisible():
            self._commands.hear(self.groove)
        self._tell()

    def _on_session(self) -> None:
        """Undo, or another edit, ends what was heard: nothing is chosen any more."""
        if self.groove is not None and self.isVisible() and not self._desk.store.is_drafting:
            self.list.blockSignals(True)
            self.list.setCurrentRow(-1)
            self.list.clearSelection()
            self.list.blockSignals(False)
        self._tell()

    def _on_focus(self) -> None:
        """What was heard was heard on another track."""
        if self.groove is not None:
            self.drop()

    def drop(self) -> None:
        """As it was before a groove was heard."""
        self.list.setCurrentRow(-1)
        self._commands.hear(None)
        self._tell()

    def take(self) -> None:
        """Tighten by the chosen groove from now on."""
        groove = self.groove
        if groove is not None:
            self.list.setCurrentRow(-1)
            self._commands.play(groove)
            self._desk.say(tr("Previewing “{0}”", groove.name))

    def forget(self) -> None:
        """Take the chosen one out of the person's library; sessions that play it have their own."""
        item = self.list.currentItem()
        place = None if item is None else item.data(PLACE)
        if place is None:
            self._desk.say(tr("Only your own grooves can be removed from the library"))
            return
        name = item.data(GROOVE).name
        self.drop()
        try:
            lies = forget_groove(place)
        except CannotWrite as error:
            self._desk.tasks.error.emit(str(error))
            return
        self._desk.view.library_changed.emit()
        self._desk.say(
            tr("Removed “{0}” from the library. Its file is still in {1}.", name, shown(str(lies.parent)))
        )

    def _tell(self) -> None:
        track, recipe, groove = self._desk.view.chosen.focused, self._desk.view.recipe, self.groove
        heard = groove is not None and self._desk.store.is_drafting
        self.as_it_was.setEnabled(heard)
        self.play.setEnabled(groove is not None and track is not None)
        if track is None:
            self.told.setText(tr("Open a recording to preview grooves on it"))
        elif not heard:
            self.told.setText(tr("Click a groove to preview it on {0}", track.name))
        elif not recipe.strength:
            self.told.setText(
                tr("{0} has strength 0 %, so nothing moves. Raise the strength in Tighten.", track.name)
            )
        else:
            self.told.setText(tr("On {0}, strength {1:.0%}", track.name, recipe.strength).replace("%", " %"))
