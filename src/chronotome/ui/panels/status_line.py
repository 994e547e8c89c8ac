"""What the pointer can do here, long work with Cancel, and the state of the sound."""

import math

from PySide6.QtCore import Qt, QTimer
from PySide6.QtWidgets import QHBoxLayout, QProgressBar, QPushButton, QWidget

from chronotome.bridge.tasks import Task
from chronotome.session.history import History
from chronotome.ui.controls.plain_text import Label, tip
from chronotome.ui.controls.sentence import Sentence
from chronotome.ui.state.figures import clock, counted, decibels, plain
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

HEIGHT = 26
TOLD_MILLISECONDS = 8000
TELLING_MILLISECONDS = 60
"""Between two steps of the bar: each paints the window at once."""

SEEN_SECONDS = 0.02
"""A smaller move of everything is not told of."""


def room_made(history: History) -> str:
    """By how much the last edit moved everything right for a pickup before bar 1; empty: by nothing."""
    if not history.past:
        return ""
    before, after = history.past[-1].session, history.session
    if before.tempo.beat_one == after.tempo.beat_one:
        return ""
    starts = {clip.id: clip.take.start for _, clip in before.clips}
    moved = [clip.take.start - starts[clip.id] for _, clip in after.clips if clip.id in starts]
    if not moved or min(moved) <= 0 or min(moved) != max(moved):
        return ""
    seconds = moved[0] / after.rate
    bars = seconds / (after.metre.first.bar * 60 / after.timebase.tempo_at(-1.0))
    if round(bars) and math.isclose(bars, round(bars), abs_tol=1e-3):
        return counted(round(bars), "bar")
    return f"{plain(1000 * seconds, 0)} ms" if seconds > SEEN_SECONDS else ""


class StatusLine(QWidget):
    _warning = ""
    _heard = ""
    """What is told of the input while it is open."""

    def __init__(self, desk: UiContext) -> None:
        super().__init__()
        self.setObjectName("statusline")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self.setFixedHeight(HEIGHT)
        self._desk = desk
        self._task: Task | None = None
        layout = QHBoxLayout(self)
        layout.setContentsMargins(12, 0, 12, 0)
        layout.setSpacing(8)
        self.words = Sentence()
        self.words.setObjectName("soft")
        layout.addWidget(self.words, 1)
        self.work = Label()
        self.work.setObjectName("soft")
        layout.addWidget(self.work)
        self.bar = QProgressBar()
        self.bar.setFixedWidth(140)
        self.bar.setFixedHeight(10)
        self.bar.setTextVisible(False)
        self.bar.setRange(0, 100)
        layout.addWidget(self.bar)
        self.cancel = QPushButton(tr("Cancel"))
        self.cancel.setFixedHeight(20)
        self.cancel.setStyleSheet("padding: 0 8px;")
        self.cancel.setAccessibleName(tr("Cancel this task"))
        self.cancel.clicked.connect(self._on_cancel)
        layout.addWidget(self.cancel)
        self.state = Label()
        self.state.setObjectName("soft")
        layout.addWidget(self.state)
        self._hint = ""
        self._told = QTimer(self)
        self._told.setSingleShot(True)
        self._told.timeout.connect(self._show_hint)
        self._telling = QTimer(self)
        self._telling.setSingleShot(True)
        self._telling.setInterval(TELLING_MILLISECONDS)
        self._telling.timeout.connect(self._tell_progress)
        self._is_important = False
        self._listen()
        self._on_tasks()
        self._show_state()

    def _listen(self) -> None:
        desk = self._desk
        desk.tasks.told.connect(self.tell)
        desk.document.unsafe.connect(self.warn)
        desk.view.hinted.connect(self.hint)
        desk.store.kept.connect(self._on_kept)
        desk.tasks.changed.connect(self._on_tasks)
        desk.transport.device_changed.connect(self._show_state)
        desk.rendering.started.connect(self._show_state)
        desk.rendering.rendered.connect(self._show_state)
        desk.taking.heard.connect(self._on_heard)
        desk.taking.changed.connect(self._show_state)
        desk.in_time.changed.connect(self._show_state)

    def hint(self, sentence: str) -> None:
        """What the pointer can do here, as long as it is here and nothing was told just now."""
        self._hint = sentence
        if not self._told.isActive():
            self._show_hint()

    def warn(self, sentence: str) -> None:
        """Stands there as long as it lasts, whenever nothing else is told."""
        self._warning = sentence
        if not self._told.isActive():
            self._show_hint()

    def tell(self, sentence: str, *, is_important: bool = False) -> None:
        """Show a sentence for a while; an important one is not replaced by another that is not."""
        if self._told.isActive() and self._is_important and not is_important:
            return
        self._is_important = is_important
        self.words.say(sentence)
        self._told.start(TOLD_MILLISECONDS)

    def _show_hint(self) -> None:
        self._is_important = False
        self.words.say(self._warning or self._hint)

    def _on_kept(self, kind: str, history: History) -> None:
        """What was said before an edit no longer holds: the line says what was done."""
        if kind in {"undo", "redo"}:
            label = history.redo_label if kind == "undo" else history.undo_label
            self.tell(tr("Undone: {0}", label) if kind == "undo" else tr("Redone: {0}", label))
        elif kind == "then" and (room := room_made(history)):
            self.tell(tr("Bar 1 moved right by {0}, because the pickup starts before it", room))
        elif kind == "then" and self._told.isActive() and not self._is_important:
            self._told.stop()
            self._show_hint()

    def _on_tasks(self) -> None:
        running = self._desk.tasks.running
        task = running[0] if running else None
        if task is not self._task:
            self._task = task
            if task is not None:
                task.progressed.connect(self._on_progress)
                self._on_progress(task.fraction)
        for widget in (self.work, self.bar, self.cancel):
            widget.setVisible(task is not None)
        if task is not None:
            more = tr(" and {0} more", len(running) - 1) if len(running) > 1 else ""
            self.work.setText(f"{task.words}{more}")
            self.work.setToolTip(tip(f"{task.words}{more}"))

    def _on_progress(self, _fraction: float) -> None:
        if not self._telling.isActive():
            self._telling.start()

    def _tell_progress(self) -> None:
        if self._task is not None:
            self.bar.setValue(int(100 * self._task.fraction))

    def _on_cancel(self) -> None:
        for task in self._desk.tasks.running:
            task.cancel()

    def _show_state(self) -> None:
        session, device = self._desk.session, self._desk.transport.device
        parts = [tr("rendered") if self._desk.rendering.is_current else tr("rendering")]
        if not session.tracks:
            parts = []
        parts.append(tr("{0:g} kHz", session.rate / 1000))
        parts.append(device.device if device.is_ready else tr("audio is starting"))
        if not device.holds_block:
            parts.append(tr("dropouts at {0} samples", self._desk.transport.block))
        parts.append(self._desk.in_time.words)
        if device.dropouts:
            parts.append(counted(device.dropouts, "dropout"))
        if self._desk.taking.is_open:
            parts = [self._heard, self._desk.taking.words]
        self.state.setText(" · ".join(filter(None, parts)))
        self.state.setToolTip(tip(self.state.text()))

    def _on_heard(self, peak: float, frames: int) -> None:
        """While the input is open: how long the take is, and how loud what comes."""
        taking, level = self._desk.taking, decibels(20 * math.log10(max(peak, 1e-6)))
        length = clock(frames / self._desk.session.rate)[:-2]
        self._heard = f"● {taking.name} · {length} · {level}" if taking.is_on else tr("input · {0}", level)
        self._show_state()
