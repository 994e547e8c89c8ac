"""What the pointer can do here, long work with Cancel, and the state of the sound."""

from PySide6.QtCore import Qt, QTimer
from PySide6.QtWidgets import QHBoxLayout, QLabel, QProgressBar, QPushButton, QWidget

from chronotome.bridge.tasks import Task
from chronotome.ui.desk import Desk
from chronotome.ui.figures import counted

HEIGHT = 26
TOLD_MILLISECONDS = 8000


class StatusLine(QWidget):
    def __init__(self, desk: Desk) -> None:
        super().__init__()
        self.setObjectName("statusline")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self.setFixedHeight(HEIGHT)
        self._desk = desk
        self._task: Task | None = None
        layout = QHBoxLayout(self)
        layout.setContentsMargins(12, 0, 12, 0)
        layout.setSpacing(8)
        self.words = QLabel()
        self.words.setObjectName("soft")
        layout.addWidget(self.words, 1)
        self.work = QLabel()
        self.work.setObjectName("soft")
        layout.addWidget(self.work)
        self.bar = QProgressBar()
        self.bar.setFixedWidth(140)
        self.bar.setFixedHeight(10)
        self.bar.setTextVisible(False)
        self.bar.setRange(0, 100)
        layout.addWidget(self.bar)
        self.cancel = QPushButton("Cancel")
        self.cancel.setFixedHeight(20)
        self.cancel.setStyleSheet("padding: 0 8px;")
        self.cancel.setAccessibleName("Cancel the running work")
        self.cancel.clicked.connect(self._on_cancel)
        layout.addWidget(self.cancel)
        self.state = QLabel()
        self.state.setObjectName("soft")
        layout.addWidget(self.state)
        self._important = QTimer(self)
        self._important.setSingleShot(True)
        desk.workspace.told.connect(self.tell)
        desk.tasks.changed.connect(self._on_tasks)
        desk.transport.device_changed.connect(self._show_state)
        desk.rendering.started.connect(self._show_state)
        desk.rendering.rendered.connect(self._show_state)
        self._on_tasks()
        self._show_state()

    def tell(self, sentence: str, *, is_important: bool = False) -> None:
        """Show a sentence; an important one stays for a while, whatever the pointer passes over."""
        if self._important.isActive() and not is_important:
            return
        self.words.setText(sentence)
        self.words.setToolTip(sentence)
        if is_important:
            self._important.start(TOLD_MILLISECONDS)

    def _on_tasks(self) -> None:
        running = self._desk.tasks.running
        task = running[0] if running else None
        if task is not self._task:
            self._task = task
            if task is not None:
                task.progressed.connect(self._on_progress)
                self.bar.setValue(int(100 * task.fraction))
        for widget in (self.work, self.bar, self.cancel):
            widget.setVisible(task is not None)
        if task is not None:
            more = f" and {len(running) - 1} more" if len(running) > 1 else ""
            self.work.setText(f"{task.words}{more}")

    def _on_progress(self, fraction: float) -> None:
        self.bar.setValue(int(100 * fraction))

    def _on_cancel(self) -> None:
        for task in self._desk.tasks.running:
            task.cancel()

    def _show_state(self) -> None:
        session, device = self._desk.session, self._desk.transport.device
        parts = ["rendered" if self._desk.rendering.is_current else "rendering"]
        if not session.tracks:
            parts = []
        parts.append(f"{session.rate / 1000:g} kHz")
        parts.append(device.device if device.is_ready else "sound is starting")
        if device.dropouts:
            parts.append(counted(device.dropouts, "dropout"))
        self.state.setText(" · ".join(parts))
