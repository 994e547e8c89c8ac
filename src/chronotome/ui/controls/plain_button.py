"""A button in a row of a dialog: Enter in a field beside it does not press it."""

from collections.abc import Callable

from PySide6.QtWidgets import QHBoxLayout, QPushButton


def plain_button(
    words: str, do: Callable[[], object] | None = None, row: QHBoxLayout | None = None
) -> QPushButton:
    made = QPushButton(words)
    made.setAutoDefault(False)
    if do is not None:
        made.clicked.connect(lambda _checked=False: do())
    if row is not None:
        row.addWidget(made)
    return made
