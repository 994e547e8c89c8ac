"""What a screen reader finds behind a lane: a list of what is drawn there, in words, to be walked through.

A lane paints; this is a real list of one pixel within it. Its rows are worked out when they are asked for.
"""

from typing import Any, Protocol

from PySide6.QtCore import QAbstractListModel, QModelIndex, QPersistentModelIndex, Qt
from PySide6.QtGui import QAccessible
from PySide6.QtWidgets import QFrame, QListView, QWidget

from chronotome.ui.controls.debounce import Debounce

Index = QModelIndex | QPersistentModelIndex


class AccessibleItems(Protocol):
    """Things in a lane, in their order."""

    def count(self) -> int: ...

    def words(self, row: int) -> str: ...

    def current(self) -> int:
        """The one that is chosen; -1: none."""
        ...

    def choose(self, row: int) -> None: ...


class _Model(QAbstractListModel):
    def __init__(self, told: AccessibleItems, parent: QWidget) -> None:
        super().__init__(parent)
        self._told = told

    def rowCount(self, parent: Index = QModelIndex()) -> int:  # noqa: B008 - Qt's own default
        return 0 if parent.isValid() else self._told.count()

    def data(self, index: Index, role: int = Qt.ItemDataRole.DisplayRole) -> Any:
        known = {Qt.ItemDataRole.DisplayRole, Qt.ItemDataRole.AccessibleTextRole}
        if role not in known or not 0 <= index.row() < self._told.count():
            return None
        return self._told.words(index.row())


class Spoken(QListView):
    """Follows what is chosen in its lane; what is activated in it is chosen there."""

    def __init__(self, lane: QWidget, name: str, told: AccessibleItems) -> None:
        super().__init__(lane)
        self._lane, self._told = lane, told
        self._model = _Model(told, self)
        self.setModel(self._model)
        self.setAccessibleName(name)
        self.setFrameShape(QFrame.Shape.NoFrame)
        self.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self.setAttribute(Qt.WidgetAttribute.WA_TransparentForMouseEvents)
        self.setUniformItemSizes(True)
        self.setLayoutMode(QListView.LayoutMode.Batched)
        self.viewport().setAutoFillBackground(False)
        self.setGeometry(0, 0, 1, 1)
        self.activated.connect(lambda index: told.choose(index.row()))
        self._soon = Debounce(self._look, self)

    def follow(self, *signals: Any) -> None:
        """Look again whenever one of them says so, as long as somebody reads."""
        for signal in signals:
            signal.connect(self._ask)

    def _ask(self) -> None:
        if QAccessible.isActive():
            self._soon.ask()

    def _look(self) -> None:
        self._model.beginResetModel()
        self._model.endResetModel()
        row = self._told.current()
        if row >= 0:
            self.setCurrentIndex(self._model.index(row))
            self._lane.setAccessibleDescription(self._told.words(row))
        else:
            self._lane.setAccessibleDescription("")

    def look(self) -> None:
        """At once."""
        self._look()
