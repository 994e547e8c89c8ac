"""Play mode: while it is on, letters of the computer's keyboard play slices instead of being shortcuts."""

import time
from collections.abc import Callable

from PySide6.QtCore import QEvent, QObject, Qt, Signal
from PySide6.QtGui import QKeyEvent
from PySide6.QtWidgets import QAbstractSpinBox, QApplication, QLineEdit, QTextEdit

from chronotome.bridge.keys import Keys
from chronotome.session.kits import KEY_NAMES

ROWS = ((24, 10), (38, 9), (52, 7))
"""Scan codes (X11's: eight more than the kernel's) at which rows of letters begin, and how many there are."""
SCAN_CODES = [first + at for first, count in ROWS for at in range(count)]
BANK = len(KEY_NAMES)
NEAR_SECONDS = 2.0
"""What a key event tells of its time is believed where it is that near to now."""
KINDS = {QEvent.Type.KeyPress, QEvent.Type.KeyRelease, QEvent.Type.ShortcutOverride}
KEYS = {ord(letter): at for at, letter in enumerate(KEY_NAMES)}
"""By letter, where a platform tells no scan codes."""


def key_of(event: QKeyEvent) -> int | None:
    """The key of a kit that a key of the keyboard is, by its place and not by its letter."""
    code = event.nativeScanCode()
    if code:
        return SCAN_CODES.index(code) if code in SCAN_CODES else None
    return KEYS.get(event.key())


def stamp_of(event: QKeyEvent) -> int:
    """When a key was pressed, in nanoseconds of the monotonic clock: as the event tells, else now."""
    now = time.monotonic_ns()
    told = event.timestamp() * 1_000_000
    return told if abs(now - told) < NEAR_SECONDS * 1e9 and told <= now else now


class KeyPlay(QObject):
    """Hears all keys of the application while it is on."""

    taken_back = Signal()
    """The key that takes the last round back."""

    def __init__(self, keys: Keys, parent: QObject) -> None:
        super().__init__(parent)
        self._keys = keys
        self.bank = 0
        """Which letters' worth of keys is played: the second is a full keyboard further."""
        self._held: dict[int, int] = {}
        self._others: dict[int, Callable[[], None]] = {
            Qt.Key.Key_Comma: lambda: self.move_bank(-1),
            Qt.Key.Key_Period: lambda: self.move_bank(1),
            Qt.Key.Key_Backspace: self.taken_back.emit,
        }

    def switch(self, *, is_on: bool) -> None:
        app = QApplication.instance()
        if app is None or is_on is self._keys.is_on:
            return
        self._held.clear()
        self._keys.switch(is_on=is_on)
        if is_on:
            app.installEventFilter(self)
        else:
            app.removeEventFilter(self)

    def move_bank(self, by: int) -> None:
        kit = self._keys.kit
        last = 0 if kit is None else max(each.key for each in kit.slices) // BANK
        self.bank = min(last, max(0, self.bank + by))
        self._keys.changed.emit()

    def eventFilter(self, _watched: QObject, event: QEvent) -> bool:
        """Take letters, and the two keys that move on; everything else goes where it went."""
        if event.type() not in KINDS or not isinstance(event, QKeyEvent) or _is_typing():
            return False
        keys = event.modifiers() & ~Qt.KeyboardModifier.KeypadModifier & ~Qt.KeyboardModifier.ShiftModifier
        if keys and event.type() is not QEvent.Type.KeyRelease:
            return False
        other, key = self._others.get(event.key()), key_of(event)
        if other is None and key is None:
            return False
        event.accept()
        if other is not None:
            if event.type() is QEvent.Type.KeyPress:
                other()
        elif key is not None and not event.isAutoRepeat():
            self._do(event, key)
        return True

    def _do(self, event: QKeyEvent, key: int) -> None:
        """A key is pressed or let go of; the one that it was is let go of, whatever bank it is now."""
        if event.type() is QEvent.Type.KeyPress:
            if key not in self._held:
                self._held[key] = key + self.bank * BANK
                self._keys.press(self._held[key], stamp=stamp_of(event))
        elif event.type() is QEvent.Type.KeyRelease and key in self._held:
            self._keys.release(self._held.pop(key), stamp=stamp_of(event))


def _is_typing() -> bool:
    """Where a figure or a name is typed, letters are letters."""
    return isinstance(QApplication.focusWidget(), QLineEdit | QTextEdit | QAbstractSpinBox)
