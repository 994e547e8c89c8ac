"""Everything that can be done, in one table: name, words, shortcut, and what it does; its menus and keys."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from functools import partial

from PySide6.QtCore import QObject, Qt
from PySide6.QtGui import QAction, QKeySequence
from PySide6.QtWidgets import QMenu, QMenuBar, QPushButton, QWidget

from chronotome.errors import ChronotomeError
from chronotome.ui.actions.menus import KEY_OF_WINDOW, KEYS_OF_ACTIONS, LINE, MENUS, Menu
from chronotome.ui.actions.needs import Need
from chronotome.ui.controls.plain_text import tip


@dataclass(frozen=True)
class Entry:
    """One action."""

    name: str
    words: str
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
        needs: Mapping[str, Need],
        *,
        settle: Callable[[], None] = lambda: None,
    ) -> None:
        """`settle` keeps what is being typed, before an action is done."""
        super().__init__(window)
        self.entries = list(entries)
        self._tell, self._needs, self._settle = tell, needs, settle
        self._actions: dict[str, QAction] = {}
        self._buttons: list[tuple[QPushButton, str]] = []
        self.takes: Callable[[str], bool] = lambda _name: False
        """Asked before each action: True where it is not to be done now."""
        self.letters = set[str]()
        """With Alt they open menus."""
        self._tips: dict[str, str] = {}
        for entry in self.entries:
            action = QAction(entry.words, window)
            action.setShortcutContext(Qt.ShortcutContext.WindowShortcut)
            action.setCheckable(entry.is_on is not None)
            action.triggered.connect(self._runner(entry))
            self._actions[entry.name] = action
            window.addAction(action)
        self.use_shortcuts(shortcuts)

    def _runner(self, entry: Entry) -> Callable[[], None]:
        do = self.guarded(entry.do) if entry.do is not None else self.refresh

        def run() -> None:
            self._settle()
            missing = self.missing(entry.name)
            if self.takes(entry.name):
                self.refresh()
            elif missing:
                self._tell(missing)
                self.refresh()
            else:
                do()

        return run

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
            self._tips[entry.name] = tip(f"{words} ({keys})" if keys else words)
            action.setToolTip(self._tips[entry.name])
        for button, name in self._buttons:
            button.setToolTip(self._actions[name].toolTip())

    def keys(self, name: str) -> str:
        return self._actions[name].shortcut().toString()

    def get(self, name: str) -> QAction:
        return self._actions[name]

    def words(self, name: str) -> str:
        """As in the menu, without what marks its letter."""
        return self._actions[name].text().partition("\t")[0].replace("&", "")

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

    def buttons(self, name: str) -> list[QPushButton]:
        """Those that do an action."""
        return [button for button, does in self._buttons if does == name]

    def fill(self, bar: QMenuBar, lists: Mapping[str, QMenu]) -> dict[str, QMenu]:
        """Build the menus, with those that are filled while the program runs; by their words."""
        menus, taken = dict[str, QMenu](), set(KEYS_OF_ACTIONS)
        for menu in MENUS:
            built = bar.addMenu(with_letter(menu.words, taken))
            menus |= {menu.words: built} | self._fill(built, menu, lists)
            built.aboutToShow.connect(partial(self._open, menu))
            built.aboutToHide.connect(partial(self._close, menu))
        self.letters = taken - KEYS_OF_ACTIONS
        return menus

    def _fill(self, built: QMenu, menu: Menu, lists: Mapping[str, QMenu]) -> dict[str, QMenu]:
        built.setToolTipsVisible(True)
        within, taken = dict[str, QMenu](), set[str]()
        for row in menu.rows:
            if isinstance(row, Menu):
                inner = within[row.words] = built.addMenu(with_letter(row.words, taken))
                within |= self._fill(inner, row, lists)
            elif row == LINE:
                built.addSeparator()
            elif row in lists:
                lists[row].setTitle(with_letter(lists[row].title(), taken))
                lists[row].setToolTipsVisible(True)
                built.addMenu(lists[row])
                built.aboutToShow.connect(lists[row].aboutToShow)  # it is grey where nothing is in it
            else:
                action = self._actions[row]
                shown = with_letter(action.text(), taken)
                action.setText(f"{shown}\t{KEY_OF_WINDOW[row]}" if row in KEY_OF_WINDOW else shown)
                built.addAction(action)
        return within

    def context(self, names: Sequence[str], parent: QWidget) -> QMenu:
        """A menu of actions for what is under the pointer."""
        menu, rows = QMenu(parent), Menu("", tuple(names))
        menu.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        menu.setToolTipsVisible(True)
        for name in names:
            if name == LINE:
                menu.addSeparator()
            else:
                menu.addAction(self._actions[name])
        menu.aboutToShow.connect(partial(self._open, rows))
        menu.aboutToHide.connect(partial(self._close, rows))
        return menu

    def missing(self, name: str) -> str:
        """What an action needs that is not there; empty where it can be done."""
        need = self._needs.get(name)
        return "" if need is None or need.holds() else need.words

    def _open(self, menu: Menu) -> None:
        """What cannot be done is grey while a menu is open, and says why."""
        self.refresh()
        for name in menu.names:
            missing = self.missing(name)
            if missing:
                self._actions[name].setEnabled(False)
                self._actions[name].setToolTip(tip(missing))

    def _close(self, menu: Menu) -> None:
        """Keys say in the status line what is missing: a grey action would swallow them."""
        for name in menu.names:
            if name in self._needs:
                self._actions[name].setEnabled(True)
                self._actions[name].setToolTip(self._tips[name])

    def refresh(self) -> None:
        """Show which of them are on."""
        for entry in self.entries:
            if entry.is_on is not None:
                self._actions[entry.name].setChecked(entry.is_on())

    def name(self, name: str, words: str, *, is_enabled: bool) -> None:
        """Give an action other words: undo says what it undoes."""
        self._actions[name].setText(f"&{words}")
        self._actions[name].setEnabled(is_enabled)
