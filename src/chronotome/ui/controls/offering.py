"""What a right click on a row of a list offers."""

from collections.abc import Callable, Sequence

from PySide6.QtCore import QPoint, Qt
from PySide6.QtWidgets import QAbstractItemView, QMenu

Offer = tuple[str, Callable[[], object]]


def offer(rows: QAbstractItemView, offers: Sequence[Offer]) -> None:
    """The row under the pointer is the current one first; beside the rows nothing is offered."""

    def show(place: QPoint) -> None:
        if not rows.indexAt(place).isValid():
            return
        menu = QMenu(rows)
        menu.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        for words, do in offers:
            menu.addAction(words).triggered.connect(lambda _checked=False, do=do: do())
        menu.popup(rows.viewport().mapToGlobal(place))

    rows.setContextMenuPolicy(Qt.ContextMenuPolicy.CustomContextMenu)
    rows.customContextMenuRequested.connect(show)
