"""Find anything: every action, track, section and place to check, by what it is called."""

from collections.abc import Callable, Sequence
from functools import partial
from typing import NamedTuple

from PySide6.QtCore import QEvent, QObject, Qt
from PySide6.QtGui import QKeyEvent
from PySide6.QtWidgets import (
    QDialog,
    QHeaderView,
    QLineEdit,
    QTreeWidget,
    QTreeWidgetItem,
    QVBoxLayout,
    QWidget,
)

from chronotome.session.check import NOTHING
from chronotome.session.grid import position_words
from chronotome.ui.actions import Actions
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.desk import Desk
from chronotome.ui.dialogs.preferences import ROWS
from chronotome.words import tr

WIDTH, HEIGHT, COLUMNS = 560, 420, (330, 110, 90)
MOST_SHOWN = 200
STEPS = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1, Qt.Key.Key_PageUp: -10, Qt.Key.Key_PageDown: 10}


class Item(NamedTuple):
    """What can be found: how it is called, where it belongs, its keys, and what choosing it does."""

    words: str
    about: str
    keys: str
    do: Callable[[], object]


def found(items: Sequence[Item], typed: str) -> list[Item]:
    """Those in which every word that was typed stands; words that begin with one first, then names."""
    wanted = typed.casefold().split()
    ranked = list[tuple[int, int, Item]]()
    for place, item in enumerate(items):
        name, all_of_it = item.words.casefold(), f"{item.words} {item.about} {item.keys}".casefold()
        if not all(word in all_of_it for word in wanted):
            continue
        starts = f" {name}"
        begins = sum(f" {word}" in starts for word in wanted)
        within = sum(word in name for word in wanted)
        ranked.append((-2 * begins - within, place, item))
    return [item for _, _, item in sorted(ranked, key=lambda each: each[:2])][:MOST_SHOWN]


def findable(desk: Desk, commands: Commands, table: Actions, set_up: Callable[[str], None]) -> list[Item]:
    """What there is to find now; `set_up` shows a setting of Preferences."""
    view, session = desk.view, desk.session
    items = [
        Item(entry.words.rstrip("…"), entry.menu, table.keys(entry.name), partial(table.run, entry.name))
        for entry in table.entries
        if entry.name != "find"
    ]
    items += [Item(name, tr("setting"), "", partial(set_up, name)) for name in ROWS]
    items += [Item(track.name, tr("track"), "", partial(view.focus, track.id)) for track in session.tracks]
    sections = commands.sections
    items += [Item(each.name, tr("section"), "", partial(sections.go_to, each)) for each in session.sections]
    guiding = desk.guiding
    checks = desk.checks(guiding.track, guiding.take) if guiding is not None else NOTHING
    for number in range(min(len(checks), MOST_SHOWN)):
        check = checks[number]
        words = tr("{0} at {1}", check.title, position_words(check.beat, session.metre))
        items.append(Item(words, tr("to check"), "", partial(commands.go_to_check, check)))
    return items


class FindDialog(QDialog):
    """What is typed sifts the list; Enter does what is chosen, Escape leaves all as it was."""

    def __init__(self, items: Sequence[Item], parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Find anything"))
        self.resize(WIDTH, HEIGHT)
        self._items = items
        self.chosen: Item | None = None
        layout = QVBoxLayout(self)
        self.typed = QLineEdit()
        self.typed.setPlaceholderText(tr("An action, a track, a section, a place to check, or keys"))
        self.typed.setAccessibleName(tr("What is looked for"))
        self.typed.setClearButtonEnabled(True)
        self.typed.textChanged.connect(self._sift)
        self.typed.installEventFilter(self)
        layout.addWidget(self.typed)
        self.list = QTreeWidget()
        self.list.setColumnCount(len(COLUMNS))
        self.list.setHeaderHidden(True)
        self.list.setRootIsDecorated(False)
        self.list.setUniformRowHeights(True)
        self.list.setAccessibleName(tr("What was found"))
        self.list.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        columns = self.list.header()
        columns.setStretchLastSection(False)
        columns.setSectionResizeMode(0, QHeaderView.ResizeMode.Stretch)
        for column, width in enumerate(COLUMNS[1:], 1):
            columns.resizeSection(column, width)
        self.list.itemClicked.connect(self._on_click)
        layout.addWidget(self.list, 1)
        self.told = Label()
        self.told.setObjectName("soft")
        layout.addWidget(self.told)
        self._sift("")

    def _sift(self, typed: str) -> None:
        self._shown = found(self._items, typed)
        self.list.clear()
        self.list.addTopLevelItems(
            [QTreeWidgetItem([item.words, item.about, item.keys]) for item in self._shown]
        )
        self._choose(0)
        words = (
            tr("Enter does it, Escape leaves")
            if self._shown
            else tr("Nothing is called so: try another word")
        )
        self.told.setText(words)

    def eventFilter(self, _watched: QObject, event: QEvent) -> bool:
        """Up and down go through the list while one types."""
        if event.type() is not QEvent.Type.KeyPress or not isinstance(event, QKeyEvent):
            return False
        key = Qt.Key(event.key())
        if key in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self._take()
            return True
        if key not in STEPS or not self._shown:
            return False
        self._choose(self._row + STEPS[key])
        return True

    def _choose(self, row: int) -> None:
        """The row that Enter does."""
        self._row = min(len(self._shown) - 1, max(0, row))
        item = self.list.topLevelItem(self._row)
        if item is not None:
            self.list.setCurrentItem(item)

    def _on_click(self, item: QTreeWidgetItem) -> None:
        self._choose(self.list.indexOfTopLevelItem(item))
        self._take()

    def _take(self) -> None:
        if 0 <= self._row < len(self._shown):
            self.chosen = self._shown[self._row]
            self.accept()
