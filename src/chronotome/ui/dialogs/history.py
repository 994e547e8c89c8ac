"""The history as a list: every step by name, the newest below; a click goes to what there was after it.

Two points of it can be compared by ear: A and B sound in turn where the playhead is, and nothing is changed.
"""

from functools import partial

from PySide6.QtCore import QEvent, QObject, Qt
from PySide6.QtGui import QKeyEvent
from PySide6.QtWidgets import (
    QHBoxLayout,
    QPushButton,
    QTreeWidget,
    QTreeWidgetItem,
    QVBoxLayout,
    QWidget,
)

from chronotome.session.model import Session
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

WIDTH, HEIGHT = 340, 560
OPENED = tr("Opened")
NOW = 2
LETTERS = [Qt.Key.Key_A, Qt.Key.Key_B]


class HistoryDialog(Dialog):
    """Stays open beside the window, and follows what is done there."""

    def __init__(self, desk: UiContext, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("History"))
        self.setModal(False)
        self.resize(WIDTH, HEIGHT)
        self._desk = desk
        layout = QVBoxLayout(self)
        self.list = QTreeWidget()
        self.list.setHeaderHidden(True)
        self.list.setRootIsDecorated(False)
        self.list.setUniformRowHeights(True)
        self.list.setAccessibleName(tr("Undo steps"))
        self.list.itemClicked.connect(self._on_click)
        self.list.installEventFilter(self)
        layout.addWidget(self.list, 1)
        self.told = Label()
        self.told.setObjectName("soft")
        layout.addWidget(self.told)
        self._points: list[tuple[Session, str] | None] = [None, None]
        layout.addLayout(self._build_comparing())
        desk.store.kept.connect(self._on_kept)
        self._show()

    def _build_comparing(self) -> QVBoxLayout:
        """Which two points, and which of them is heard."""
        made, row = QVBoxLayout(), QHBoxLayout()
        self.marks = []
        for number, letter in enumerate("AB"):
            button = QPushButton(tr("Set as {0}", letter))
            button.setAutoDefault(False)
            button.setToolTip(tr("Compare this step as {0}, without undoing ({1})", letter, letter))
            button.clicked.connect(partial(self.mark, number))
            row.addWidget(button)
            self.marks.append(button)
        made.addLayout(row)
        self.hear = Segmented(self._desk.view, tr("Compare"), ["A", "B", tr("now")])
        self.hear.set_index(NOW)
        self.hear.chosen.connect(self._on_hear)
        made.addWidget(self.hear)
        self.compared = Label()
        self.compared.setObjectName("soft")
        self.compared.setWordWrap(True)
        self.compared.setMinimumHeight(34)
        made.addWidget(self.compared)
        return made

    def mark(self, number: int) -> None:
        """The step that is chosen in the list is A (0) or B (1)."""
        row = max(0, self.list.currentIndex().row())
        history = self._desk.store.history
        sessions = [step.session for step in history.past]
        sessions += [history.session, *(step.session for step in reversed(history.future))]
        item = self.list.topLevelItem(row)
        self._points[number] = sessions[row], "" if item is None else item.text(0)
        if self.hear.index == number:
            self._on_hear(number)
        self._tell_points()

    def _on_hear(self, index: int) -> None:
        """A point as a draft: seen and heard, and gone again without a trace."""
        point = self._points[index] if index != NOW else None
        if point is None:
            self._desk.store.drop_draft()
            if index != NOW:
                self._desk.say(tr("Select a step, then click {0}", "AB"[index]))
                self.hear.set_index(NOW)
            return
        session = point[0]
        self._desk.store.draft(lambda _session: session)

    def _on_kept(self) -> None:
        """Whatever is done is done to what there is, not to what is compared."""
        self.hear.set_index(NOW)
        self._show()

    def _tell_points(self) -> None:
        names = [
            tr("{0}: after “{1}”", letter, point[1])
            for letter, point in zip("AB", self._points, strict=True)
            if point
        ]
        self.compared.setText(
            "\n".join(names) or tr("Set two steps as A and B to compare them at the playhead.")
        )

    def done(self, result: int) -> None:
        """Closed, what is heard is what there is."""
        if self.hear.index != NOW:
            self.hear.set_index(NOW)
            self._desk.store.drop_draft()
        super().done(result)

    @property
    def here(self) -> int:
        """The row of what there is now."""
        return len(self._desk.store.history.past)

    def go_to(self, row: int) -> None:
        """What there was after a step."""
        self._desk.store.go(row - self.here)

    def _show(self) -> None:
        """Steps that were undone are soft: they can be done again."""
        history = self._desk.store.history
        labels = [OPENED, *(step.label for step in history.past)]
        labels += [step.label for step in reversed(history.future)]
        self.list.clear()
        items = [QTreeWidgetItem([label]) for label in labels]
        soft = self.palette().placeholderText()
        for item in items[self.here + 1 :]:
            item.setForeground(0, soft)
        self.list.addTopLevelItems(items)
        self.list.setCurrentItem(items[self.here])
        self.list.scrollToItem(items[self.here])
        undone = len(history.future)
        more = tr(", {0} undone", counted(undone, "step")) if undone else ""
        steps = tr("{0}{1}. Click a step to go there.", counted(self.here, "step"), more)
        self.told.setText(steps if len(labels) > 1 else tr("No steps yet"))
        self._tell_points()

    def _on_click(self, item: QTreeWidgetItem) -> None:
        self.go_to(self.list.indexOfTopLevelItem(item))

    def eventFilter(self, _watched: QObject, event: QEvent) -> bool:
        """A and B mark the chosen step, before the list looks for one that begins with the letter."""
        kinds = {QEvent.Type.KeyPress, QEvent.Type.ShortcutOverride}
        if event.type() not in kinds or not isinstance(event, QKeyEvent) or event.key() not in LETTERS:
            return False
        if event.type() is QEvent.Type.KeyPress:
            self.mark(LETTERS.index(Qt.Key(event.key())))
        event.accept()
        return True

    def keyPressEvent(self, event: QKeyEvent) -> None:
        """Enter goes to the row that the arrows chose."""
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self.go_to(self.list.currentIndex().row())
        else:
            super().keyPressEvent(event)
