"""What other programs drop here stays theirs."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QDropEvent


def take_as_copy(event: QDropEvent) -> None:
    """Answered with “move”, some file managers delete what was dropped."""
    event.setDropAction(Qt.DropAction.CopyAction)
    event.accept()
