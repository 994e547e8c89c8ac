"""How late the sound input is, measured through a cable or the room."""

from PySide6.QtWidgets import QDialogButtonBox, QProgressBar, QVBoxLayout, QWidget

from chronotome.bridge.loopback import Loopback
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_text import Label
from chronotome.words import tr

HOW = tr(
    "Connect an output of the audio interface to its input with a cable, or hold the "
    "microphone to the loudspeaker. Chronotome plays six short sounds, three times, "
    "and measures when they come back."
)
QUIET = 0.003
UNSTEADY = 0.003
"""Seconds: where rounds differ by more, a measurement does not stand for the next take."""


class LoopbackDialog(Dialog):
    """Measure, then keep or leave it."""

    def __init__(self, loopback: Loopback, parent: QWidget | None) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Recording latency"))
        self._loopback = loopback
        self.measured: float | None = None
        """Milliseconds; None where nothing was found."""
        layout = QVBoxLayout(self)
        self.words = Label(HOW)
        self.words.setWordWrap(True)
        self.words.setMinimumWidth(400)
        self.words.setMinimumHeight(64)
        layout.addWidget(self.words)
        self.bar = QProgressBar()
        self.bar.setRange(0, 100)
        self.bar.setTextVisible(False)
        layout.addWidget(self.bar)
        kinds = QDialogButtonBox.StandardButton
        self.buttons = QDialogButtonBox(kinds.Ok | kinds.Cancel)
        self.keep = self.buttons.button(kinds.Ok)
        self.keep.setText(tr("Measure"))
        self.buttons.accepted.connect(self._on_ok)
        self.buttons.rejected.connect(self.reject)
        layout.addWidget(self.buttons)
        loopback.progressed.connect(lambda share: self.bar.setValue(round(100 * share)))
        loopback.measured.connect(self._on_measured)

    def _on_ok(self) -> None:
        if self.measured is not None:
            self.accept()
            return
        self.keep.setEnabled(False)
        self.words.setText(tr("Measuring…"))
        self._loopback.start()

    def _on_measured(self, seconds: float | None, loudest: float) -> None:
        self.keep.setEnabled(True)
        if seconds is None:
            what = (
                tr("No signal. Check the cable, the input and its level.")
                if loudest < QUIET
                else tr("The sounds are hidden in noise. Raise the level and measure again.")
            )
            self.words.setText(f"{what} {HOW}")
            self.keep.setText(tr("Measure again"))
            return
        self.measured = round(1000 * seconds, 2)
        side = tr("later") if self.measured >= 0 else tr("earlier")
        late = tr("{0:.2f} ms {1} than the device reports", abs(self.measured), side)
        words = tr(
            "Sound from “{0}” arrives {1}. New takes are moved by this amount.", self._loopback.device, late
        )
        spread = self._loopback.spread
        words += " " + tr("Three measurements agree to ±{0:.2f} ms.", 1000 * spread)
        if spread > UNSTEADY:
            words += " " + tr("Takes can be off by as much. For exact takes, choose JACK in Preferences.")
        self.words.setText(words)
        self.keep.setText(tr("Use"))

    def done(self, result: int) -> None:
        """However it ends, the sounds end."""
        self._loopback.end()
        super().done(result)
