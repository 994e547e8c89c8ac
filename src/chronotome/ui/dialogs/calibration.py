"""Tap calibration: how late a hand is that beats along with clicks."""

import statistics
import time

import numpy as np
from PySide6.QtCore import QEvent, Qt, QTimer
from PySide6.QtGui import QCloseEvent, QKeyEvent, QMouseEvent
from PySide6.QtWidgets import QDialogButtonBox, QProgressBar, QVBoxLayout, QWidget

from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

CLICKS, LEAD_IN = 16, 4
GAP_MILLISECONDS = 600
CLICK_SECONDS = 0.03
FARTHEST = 0.25
"""Seconds from a click beyond which a tap was meant for nothing."""
LEAST_TAPS = 6


def lateness_ms(taps: list[float], clicks: list[float]) -> float | None:
    """Median of the taps' distances to their clicks, in ms; None for too few."""
    if not clicks:
        return None
    heard = np.array(clicks)
    away = [tap - float(heard[np.abs(heard - tap).argmin()]) for tap in taps]
    near = [each for each in away if abs(each) <= FARTHEST]
    return round(statistics.median(near) * 1000, 1) if len(near) >= LEAST_TAPS else None


class CalibrationDialog(Dialog):
    """Plays clicks; a key is pressed with each of them."""

    def __init__(self, desk: UiContext, parent: QWidget) -> None:
        super().__init__(parent)
        self._desk = desk
        self.measured: float | None = None
        self.clicks: list[float] = []
        self.taps: list[float] = []
        self.setWindowTitle(tr("Calibrate tapping"))
        layout = QVBoxLayout(self)
        self.words = Label(
            tr(
                "You hear sixteen clicks, one every 0.6 seconds.\nPress any key, or click here, "
                "together with each click."
            )
        )
        self.words.setMinimumWidth(360)
        layout.addWidget(self.words)
        self.bar = QProgressBar()
        self.bar.setRange(0, CLICKS)
        self.bar.setTextVisible(False)
        layout.addWidget(self.bar)
        self.buttons = QDialogButtonBox(
            QDialogButtonBox.StandardButton.Ok | QDialogButtonBox.StandardButton.Cancel
        )
        self.buttons.button(QDialogButtonBox.StandardButton.Ok).setEnabled(False)
        self.buttons.accepted.connect(self.accept)
        self.buttons.rejected.connect(self.reject)
        for button in self.buttons.buttons():
            button.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        layout.addWidget(self.buttons)
        rate = desk.session.rate
        self._region = desk.recordings.arena.allocate(int(CLICK_SECONDS * rate), 1)
        moments = np.arange(self._region.frames) / rate
        self._region.samples[:, 0] = 0.5 * np.sin(2 * np.pi * 1500 * moments) * np.exp(-moments / 0.006)
        self._timer = QTimer(self)
        self._timer.setTimerType(Qt.TimerType.PreciseTimer)
        self._timer.timeout.connect(self._click)
        self._timer.start(GAP_MILLISECONDS)

    def _click(self) -> None:
        if len(self.clicks) >= CLICKS:
            self._timer.stop()
            self._finish()
            return
        self._desk.transport.hear(self._region, 0, self._region.frames)
        self.clicks.append(time.monotonic() + self._desk.transport.latency)
        self.bar.setValue(len(self.clicks))

    def _finish(self) -> None:
        self.measured = lateness_ms(self.taps, self.clicks[LEAD_IN:])
        if self.measured is None:
            self.words.setText(tr("Too few taps were close to a click. Close this dialog and try again."))
            return
        side = tr("after") if self.measured >= 0 else tr("before")
        self.words.setText(tr("You tap {0:.0f} ms {1} the click.", abs(self.measured), side))
        self.buttons.button(QDialogButtonBox.StandardButton.Ok).setEnabled(True)

    def event(self, event: QEvent) -> bool:
        """Any key is a tap, the window's shortcuts too."""
        if event.type() is QEvent.Type.ShortcutOverride:
            event.accept()
            return True
        return super().event(event)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() == Qt.Key.Key_Escape:
            self.reject()
        elif not event.isAutoRepeat():
            self.taps.append(time.monotonic())

    def mousePressEvent(self, _event: QMouseEvent) -> None:
        self.taps.append(time.monotonic())

    def done(self, result: int) -> None:
        """However it ends, the clicks end."""
        self._timer.stop()
        super().done(result)

    def closeEvent(self, event: QCloseEvent) -> None:
        self._timer.stop()
        super().closeEvent(event)
