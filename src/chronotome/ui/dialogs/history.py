"""The history as a list: every step by name, the newest below; a click goes to what there was after it."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QKeyEvent
from PySide6.QtWidgets import QDialog, QLabel, QTreeWidget, QTreeWidgetItem, QVBoxLayout, QWidget

from chronotome.ui.controls.figures import counted
from chronotome.ui.desk import Desk

WIDTH, HEIGHT = 320, 460
OPENED = "As it was opened"


class HistoryDialog(QDialog):
    """Stays open beside the window, and follows what is done there."""

    def __init__(self, desk: Desk, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle("History")
        self.setModal(False)
        self.resize(WIDTH, HEIGHT)
        self._desk = desk
        layout = QVBoxLayout(self)
        self.list = QTreeWidget()
        self.list.setHeaderHidden(True)
        self.list.setRootIsDecorated(False)
        self.list.setUniformRowHeights(True)
        self.list.setAccessibleName("Steps of the history")
        self.list.itemClicked.connect(self._on_click)
        layout.addWidget(self.list, 1)
        self.told = QLabel()
        self.told.setObjectName("soft")
        layout.addWidget(self.told)
        desk.store.kept.connect(self._show)
        self._show()

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
        more = f", {counted(undone, 'step')} undone" if undone else ""
        steps = f"{counted(self.here, 'step')}{more}. A click goes there"
        self.told.setText(steps if len(labels) > 1 else "Nothing was done yet")

    def _on_click(self, item: QTreeWidgetItem) -> None:
        self.go_to(self.list.indexOfTopLevelItem(item))

    def keyPressEvent(self, event: QKeyEvent) -> None:
        """Enter goes to the row that the arrows chose."""
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self.go_to(self.list.currentIndex().row())
        else:
            super().keyPressEvent(event)
