"""Find anything: every action, track, section and place to check, by what it is called."""

import re
from collections.abc import Callable, Iterator, Sequence
from difflib import SequenceMatcher
from functools import partial
from operator import itemgetter
from typing import NamedTuple, Protocol

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
from chronotome.session.edits.tempo import set_tempo_at
from chronotome.session.grid import FASTEST, SLOWEST
from chronotome.session.metre import position_words
from chronotome.ui.actions.actions import Actions
from chronotome.ui.actions.menus import paths
from chronotome.ui.actions.synonyms import SYNONYMS
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.plain_text import Label, tip
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.dialogs.preferences import ROWS
from chronotome.ui.state.figures import plain
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

WIDTH, HEIGHT, COLUMNS = 640, 460, (330, 190, 110)
MOST_SHOWN = 200
ALIKE = 0.75
"""From so much on two words are meant as one; 1: they are the same."""
STEPS = {Qt.Key.Key_Up: -1, Qt.Key.Key_Down: 1, Qt.Key.Key_PageUp: -10, Qt.Key.Key_PageDown: 10}


class Finds(Protocol):
    """What is found beside actions, and shown by the window."""

    def sliders(self) -> Iterator[tuple[ValueSlider, str]]: ...

    def show_control(self, control: QWidget) -> None: ...

    def type_tempo(self) -> None: ...

    def edit_preferences(self, row: str = "") -> None: ...

    def pages(self) -> Iterator[tuple[str, Callable[[], object]]]: ...

    def recent(self) -> Iterator[tuple[str, Callable[[], object]]]: ...


class Settable(Protocol):
    """A value that a number which is typed sets: a slider, or something of the session."""

    def near(self, number: float, /) -> tuple[float, str]: ...
    def put(self, value: float, /) -> None: ...


class SongTempo:
    """The tempo of the song, for who types it."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    def near(self, number: float) -> tuple[float, str]:
        value = min(FASTEST, max(SLOWEST, number))
        return value, tr("{0} bpm", plain(value, 2))

    def put(self, value: float) -> None:
        frame = self._desk.transport.position
        self._desk.store.apply(
            lambda session: set_tempo_at(session, session.beat_of(frame), value), tr("Set tempo")
        )


class Item(NamedTuple):
    """What can be found: how it is called, where it belongs, its keys, and what choosing it does."""

    words: str
    about: str
    keys: str
    do: Callable[[], object]
    synonyms: str = ""
    """Other names, parted by commas."""
    missing: str = ""
    """What has to be there first, where it is not."""
    slider: Settable | None = None
    """Where it is a value: a number that is typed after its name sets it."""


def _plain(text: str) -> str:
    return text.casefold().replace("−", "-").replace("…", "")


def _words(text: str) -> list[str]:
    return [word for word in re.split(r"[\s,:/›()]+", _plain(text)) if word]


def _begin(wanted: Sequence[str], words: Sequence[str]) -> bool:
    """Whether each wanted word begins one of the words."""
    return all(any(word.startswith(each) for word in words) for each in wanted)


def _resemble(wanted: Sequence[str], words: Sequence[str]) -> bool:
    """Whether each wanted word is nearly one of the words, or nearly begins one: a slip of the hand."""
    return all(
        any(SequenceMatcher(None, each, word[: len(each) + 1]).ratio() >= ALIKE for word in words)
        for each in wanted
    )


def _rank(item: Item, typed: str, wanted: Sequence[str], *, is_fuzzy: bool) -> int | None:
    """The smaller, the better it is what was typed; None where it is not."""
    name, others = _words(item.words), [_words(each) for each in item.synonyms.split(",") if each]
    around = [*name, *_words(item.about), *_words(item.keys)]
    if is_fuzzy:
        return 0 if _resemble(wanted, [*around, *(word for words in others for word in words)]) else None
    ranks = (
        wanted == name,
        _begin(wanted, name) and name[0].startswith(wanted[0]),
        _begin(wanted, name),
        wanted in others,
        _begin(wanted, around) or _plain(item.keys) == _plain(typed),
        any(_begin(wanted, words) for words in others),
        all(each in _plain(f"{item.words} {item.about}") for each in wanted),
    )
    return next((place for place, is_so in enumerate(ranks) if is_so), None)


def found(items: Sequence[Item], typed: str) -> list[Item]:
    """What was meant by what was typed, the best first: its exact name, how it begins, other names, slips.

    A number after the name of a value sets it.
    """
    wanted = _words(typed)
    if not wanted:
        return list(items[:MOST_SHOWN])
    name, number = _name_and_number(typed)
    set_to = [] if number is None else _settable(items, _words(name), number)
    for is_fuzzy in (False, True):
        ranks = ((_rank(item, typed, wanted, is_fuzzy=is_fuzzy), n, item) for n, item in enumerate(items))
        ranked = sorted(
            ((rank, n, item) for rank, n, item in ranks if rank is not None), key=itemgetter(0, 1)
        )
        if ranked or set_to:
            return [*set_to, *(item for _, _, item in ranked)][:MOST_SHOWN]
    return []


def _name_and_number(typed: str) -> tuple[str, float | None]:
    """What stands before a number, and the number, as it is typed in any country, with or without a unit."""
    match = re.fullmatch(
        r"(.*\S)\s+([+-]?\d{1,6}(?:[.,]\d{1,4})?)\s*(?:%|[a-z]{1,3})?", _plain(typed).strip()
    )
    return (typed, None) if match is None else (match[1], float(match[2].replace(",", ".")))


def _settable(items: Sequence[Item], wanted: Sequence[str], number: float) -> list[Item]:
    """Values whose names begin as was typed, to be set to a number."""
    return [
        item._replace(words=tr("{0}: set to {1}", item.words, words), do=partial(slider.put, value))
        for item in items
        if (slider := item.slider) is not None and _begin(wanted, _words(item.words))
        for value, words in (slider.near(number),)
    ]


def findable(desk: UiContext, commands: Commands, table: Actions, beside: "Finds") -> list[Item]:
    """What there is to find now."""
    view, session = desk.view, desk.session
    way = paths()
    items = [
        Item(
            entry.words.rstrip("…"),
            way.get(entry.name, ""),
            table.keys(entry.name),
            partial(table.run, entry.name),
            SYNONYMS.get(entry.name, ""),
            table.missing(entry.name),
        )
        for entry in table.entries
        if entry.name != "find"
    ]
    items += [
        Item(
            slider.accessibleName(), words, slider.words, partial(beside.show_control, slider), slider=slider
        )
        for slider, words in beside.sliders()
    ]
    tempo = SongTempo(desk)
    here = session.beat_of(desk.transport.position)
    words = tempo.near(session.timebase.tempo_at(here))[1]
    items.append(Item(tr("Song tempo"), tr("transport"), words, beside.type_tempo, slider=tempo))
    items += [Item(name, tr("setting"), "", partial(beside.edit_preferences, name)) for name in ROWS]
    focus = view.chosen.focus
    items += [Item(track.name, tr("track"), "", partial(focus, track.id)) for track in session.tracks]
    sections = commands.sections
    items += [Item(each.name, tr("section"), "", partial(sections.go_to, each)) for each in session.sections]
    guiding = desk.guiding
    checks = desk.checks(guiding.track, guiding.take) if guiding is not None else NOTHING
    for number in range(min(len(checks), MOST_SHOWN)):
        check = checks[number]
        words = tr("{0} at {1}", check.title, position_words(check.beat, session.metre))
        items.append(Item(words, tr("to check"), "", partial(commands.go_to_check, check)))
    items += [Item(words, tr("manual"), "", do) for words, do in beside.pages()]
    return items + [Item(words, tr("recent"), "", do) for words, do in beside.recent()]


class FindDialog(QDialog):
    """What is typed sifts the list; Enter does what is chosen, Escape leaves all as it was."""

    def __init__(self, items: Sequence[Item], parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Find"))
        self.resize(WIDTH, HEIGHT)
        self._items = items
        self.chosen: Item | None = None
        layout = QVBoxLayout(self)
        self.typed = QLineEdit()
        self.typed.setPlaceholderText(
            tr("Type an action, a setting and its new value, a track, a section or a shortcut")
        )
        self.typed.setAccessibleName(tr("Search text"))
        self.typed.setClearButtonEnabled(True)
        self.typed.textChanged.connect(self._sift)
        self.typed.installEventFilter(self)
        layout.addWidget(self.typed)
        self.list = QTreeWidget()
        self.list.setColumnCount(len(COLUMNS))
        self.list.setHeaderHidden(True)
        self.list.setRootIsDecorated(False)
        self.list.setUniformRowHeights(True)
        self.list.setAccessibleName(tr("Results"))
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
        for item in self._shown:
            row = QTreeWidgetItem([item.words, item.about, item.keys])
            if item.missing:
                row.setForeground(0, self.palette().placeholderText())
                row.setToolTip(0, tip(item.missing))
            self.list.addTopLevelItem(row)
        self._choose(0)
        words = tr("Enter: run. Escape: close.") if self._shown else tr("No result. Try another word.")
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
