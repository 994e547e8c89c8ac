"""Everything that can be done, in one table: name, menu, words, shortcut, and what it does."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass

from PySide6.QtCore import QObject, Qt
from PySide6.QtGui import QAction, QKeySequence
from PySide6.QtWidgets import QMenu, QMenuBar, QPushButton, QWidget

from chronotome.errors import ChronotomeError
from chronotome.ui.controls.plain_text import tip
from chronotome.words import tr

MENUS = (
    "Session",
    "Edit",
    "Recording",
    "Clips",
    "Marks",
    "Timing",
    "Groove",
    "Apart",
    "Kit",
    "Playback",
    "View",
    "Help",
)
"""Their first letters differ: Alt with the letter opens one."""
WITHIN = {"Steps": "Kit", "In time with": "Playback"}
"""Menus within another one, where its first entry stands."""


@dataclass(frozen=True)
class Entry:
    """One action. An empty `words` is a line between two groups of a menu."""

    name: str
    menu: str
    words: str = ""
    keys: str = ""
    do: Callable[[], object] | None = None
    is_on: Callable[[], bool] | None = None
    """For one that is on or off."""


def with_letter(words: str, taken: set[str]) -> str:
    """The words with an ampersand before the first letter that no other item of the menu has."""
    starts = [at for at, letter in enumerate(words) if letter.isalpha() and (not at or words[at - 1] == " ")]
    for at in (*starts, *range(len(words))):
        letter = words[at].lower()
        if letter.isascii() and letter.isalpha() and letter not in taken:
            taken.add(letter)
            return f"{words[:at]}&{words[at:]}"
    return words


class Actions(QObject):
    """Builds menus and shortcuts from the table; a person's own shortcuts replace the usual ones."""

    def __init__(
        self,
        window: QWidget,
        entries: Sequence[Entry],
        shortcuts: Mapping[str, str],
        tell: Callable[[str], None],
    ) -> None:
        super().__init__(window)
        self.entries = [entry for entry in entries if entry.words]
        self._table = entries
        self._tell = tell
        self._actions: dict[str, QAction] = {}
        self._buttons: list[tuple[QPushButton, str]] = []
        self.takes: Callable[[str], bool] = lambda _name: False
        """Asked before each action: True where it is not to be done now."""
        letters = self._letters = {menu: set[str]() for menu in (*MENUS, *WITHIN)}
        for entry in self.entries:
            action = QAction(with_letter(entry.words, letters[entry.menu]), window)
            action.setShortcutContext(Qt.ShortcutContext.WindowShortcut)
            action.setCheckable(entry.is_on is not None)
            action.triggered.connect(self._runner(entry))
            self._actions[entry.name] = action
            window.addAction(action)
        self.use_shortcuts(shortcuts)

    def _runner(self, entry: Entry) -> Callable[[], None]:
        run = self.guarded(entry.do) if entry.do is not None else self.refresh
        return lambda: self.refresh() if self.takes(entry.name) else run()

    def guarded(self, do: Callable[[], object]) -> Callable[[], None]:
        """What cannot be done is told, not raised."""

        def run() -> None:
            try:
                do()
            except ChronotomeError as error:
                self._tell(str(error))
            self.refresh()

        return run

    def use_shortcuts(self, shortcuts: Mapping[str, str]) -> None:
        for entry in self.entries:
            keys = shortcuts.get(entry.name, entry.keys)
            action = self._actions[entry.name]
            action.setShortcuts([QKeySequence(each) for each in keys.split(", ") if each])
            words = entry.words.rstrip("…")
            action.setToolTip(tip(f"{words} ({keys})" if keys else words))
        for button, name in self._buttons:
            button.setToolTip(self._actions[name].toolTip())

    def keys(self, name: str) -> str:
        return self._actions[name].shortcut().toString()

    def get(self, name: str) -> QAction:
        return self._actions[name]

    def words(self, name: str) -> str:
        """As in the menu, without what marks its letter."""
        return self._actions[name].text().replace("&", "")

    def run(self, name: str) -> None:
        """As if it were chosen from the menu."""
        self._actions[name].trigger()

    def attach(self, button: QPushButton, name: str) -> None:
        """Let a button do an action, with its words as tooltip and for screen readers."""
        action = self._actions[name]
        button.clicked.connect(action.trigger)
        button.setToolTip(action.toolTip())
        button.setAccessibleName(self.words(name).rstrip("…"))
        button.setFocusPolicy(Qt.FocusPolicy.TabFocus)
        self._buttons.append((button, name))

    def fill(self, bar: QMenuBar) -> dict[str, QMenu]:
        menus = {name: bar.addMenu(f"&{tr(name)}") for name in MENUS}
        for entry in self._table:
            if entry.menu not in menus:
                around = WITHIN[entry.menu]
                menus[entry.menu] = menus[around].addMenu(with_letter(tr(entry.menu), self._letters[around]))
            if entry.words:
                menus[entry.menu].addAction(self._actions[entry.name])
            else:
                menus[entry.menu].addSeparator()
        for menu in menus.values():
            menu.setToolTipsVisible(True)
            menu.aboutToShow.connect(self.refresh)
        return menus

    def refresh(self) -> None:
        """Show which of them are on."""
        for entry in self.entries:
            if entry.is_on is not None:
                self._actions[entry.name].setChecked(entry.is_on())

    def name(self, name: str, words: str, *, is_enabled: bool) -> None:
        """Give an action other words: undo says what it undoes."""
        self._actions[name].setText(f"&{words}")
        self._actions[name].setEnabled(is_enabled)
