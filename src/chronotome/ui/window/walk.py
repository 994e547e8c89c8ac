"""A walk through the window: nine steps that point at the real controls, and can be left at any time."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Protocol

from PySide6.QtCore import QEvent, QObject, QPoint, QRect, Qt
from PySide6.QtGui import QKeyEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QHBoxLayout, QPushButton, QVBoxLayout, QWidget

from chronotome.ui.controls.plain_text import Label
from chronotome.ui.panels.rail import Rail
from chronotome.ui.panels.transport_bar import TransportBar
from chronotome.ui.stages.export import ExportTray
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.theme import colour
from chronotome.ui.state.view_state import Stage, ViewState
from chronotome.ui.timeline.timeline import Timeline
from chronotome.ui.window.trays import Trays
from chronotome.words import tr

WIDTH, GAP, ROOM = 300, 14, 6
KEYS = frozenset({Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Backspace})


@dataclass(frozen=True)
class TourStep:
    """What is said, of which control, in which stage; `{0}` in it is the track that is looked at."""

    title: str
    words: str
    of: Callable[[], QWidget]
    stage: Stage | None = None


class Parts(Protocol):
    """What of the window is pointed at."""

    @property
    def transport(self) -> TransportBar: ...
    @property
    def timeline(self) -> Timeline: ...
    @property
    def rail(self) -> Rail: ...
    @property
    def trays(self) -> Trays: ...
    @property
    def export_tray(self) -> ExportTray: ...


def steps_of(parts: Parts) -> list[TourStep]:
    """In the order of the work."""
    timeline, rail = parts.timeline, parts.rail
    return [
        TourStep(
            tr("Play and stop"),
            tr("Press Space to play or stop. You hear {0}. Enter goes on."),
            lambda: parts.transport.play,
        ),
        TourStep(
            tr("Five stages"),
            tr("Work from top to bottom. Keys 1 to 5 open a stage."),
            lambda: rail,
        ),
        TourStep(
            tr("1 Mark"),
            tr(
                "The small triangles above the wave are onsets. Drag the threshold: faint onsets "
                "turn hollow and do not count."
            ),
            lambda: timeline.evidence["strength"],
            Stage.MARK,
        ),
        TourStep(
            tr("2 Fit"),
            tr("The lane shows the tempo of each beat of {0}. Drag a beat to its place, or press T to tap."),
            lambda: timeline.evidence["pulse"],
            Stage.FIT,
        ),
        TourStep(
            tr("3 Tighten"),
            tr("Drag Strength to 100 %: each hit of {0} moves to its line. Changes play at once."),
            lambda: parts.trays[Stage.TIGHTEN],
            Stage.TIGHTEN,
        ),
        TourStep(
            tr("How hits moved"),
            tr("A triangle shows a hit as played, the ring shows its target. Drag a triangle up or down."),
            lambda: timeline.evidence["drift"],
            Stage.TIGHTEN,
        ),
        TourStep(
            tr("As played or edited"),
            tr(
                "Press A to switch between as played and edited. Both have the same level, and "
                "no edit is lost."
            ),
            lambda: parts.transport.listen,
            Stage.TIGHTEN,
        ),
        TourStep(
            tr("4 Rework"),
            tr("Press Ctrl+H to slice a clip into hits. Drag or roll the hits, or create a kit with Ctrl+U."),
            lambda: timeline.wave,
            Stage.REWORK,
        ),
        TourStep(
            tr("5 Export"),
            tr("Chronotome checks every join as you work. F3 finds anything, F1 opens the manual."),
            lambda: parts.export_tray,
            Stage.EXPORT,
        ),
    ]


class Walk(QObject):
    """One step at a time: an outline about the control, and a card beside it. The window works as ever."""

    def __init__(self, window: QWidget, view: ViewState, steps: list[TourStep]) -> None:
        super().__init__(window)
        self._window, self._view, self.steps = window, view, steps
        self.number = 0
        self.is_on = False
        self._outline = _Outline(window, view)
        self.card = _Card(window, view)
        self.card.back.clicked.connect(lambda: self._go(-1))
        self.card.next.clicked.connect(lambda: self._go(1))
        self.card.leave.clicked.connect(self.leave)
        window.installEventFilter(self)

    def start(self) -> None:
        self.is_on, self.number = True, 0
        self._show()

    def leave(self) -> None:
        self.is_on = False
        self._outline.hide()
        self.card.hide()
        self._window.setFocus()

    def _go(self, by: int) -> None:
        self.number += by
        if self.number >= len(self.steps):
            self.leave()
        else:
            self.number = max(0, self.number)
            self._show()

    def _show(self) -> None:
        step = self.steps[self.number]
        if step.stage is not None:
            self._view.show_stage(step.stage)
        track = self._view.chosen.focused
        self.card.say(step, self.number, len(self.steps), track.name if track is not None else tr("the song"))
        self._place()
        self._outline.show()
        self.card.show()
        for widget in (self._outline, self.card):
            widget.raise_()
        self.card.next.setFocus()

    def _place(self) -> None:
        """The outline about the control; the card where there is most room beside it."""
        target = self.steps[self.number].of()
        box = QRect(target.mapTo(self._window, QPoint(0, 0)), target.size())
        whole = self._window.rect()
        self._outline.setGeometry(box.adjusted(-ROOM, -ROOM, ROOM, ROOM).intersected(whole))
        self.card.adjustSize()
        size = self.card.size()
        if box.height() > whole.height() // 2:  # tall: beside it
            is_left = box.center().x() < whole.center().x()
            x = box.right() + GAP if is_left else box.left() - size.width() - GAP
            y = box.top() + GAP
        else:
            is_above = box.center().y() > whole.center().y()
            y = box.top() - size.height() - GAP if is_above else box.bottom() + GAP
            x = box.center().x() - size.width() // 2
        x = min(max(GAP, x), whole.width() - size.width() - GAP)
        y = min(max(GAP, y), whole.height() - size.height() - GAP)
        self.card.move(x, y)

    def eventFilter(self, _watched: QObject, event: QEvent) -> bool:
        if self.is_on and event.type() is QEvent.Type.Resize:
            self._place()
        return False


class _Outline(QWidget):
    """Seen, and not in the way of the mouse."""

    def __init__(self, window: QWidget, view: ViewState) -> None:
        super().__init__(window)
        self._view = view
        self.setAttribute(Qt.WidgetAttribute.WA_TransparentForMouseEvents)
        self.hide()

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QPen(colour(self._view.theme.accent), 2.5))
        painter.drawRoundedRect(self.rect().adjusted(2, 2, -2, -2), 8, 8)


class _Card(QWidget):
    def __init__(self, window: QWidget, view: ViewState) -> None:
        super().__init__(window)
        self._view = view
        self.setFixedWidth(WIDTH)
        layout = QVBoxLayout(self)
        layout.setContentsMargins(16, 12, 16, 12)
        self.title, self.words = Label(), Label()
        self.title.setObjectName("heading")
        self.words.setWordWrap(True)
        layout.addWidget(self.title)
        layout.addWidget(self.words)
        row = QHBoxLayout()
        self.leave = QPushButton(tr("Close"))
        self.back, self.next = QPushButton(tr("Back")), QPushButton(tr("Next"))
        self.next.setObjectName("main")
        row.addWidget(self.leave)
        row.addStretch(1)
        row.addWidget(self.back)
        row.addWidget(self.next)
        layout.addLayout(row)
        self.hide()

    def event(self, event: QEvent) -> bool:
        """Its keys are no shortcuts while one of its buttons has the keyboard."""
        if (
            event.type() is QEvent.Type.ShortcutOverride
            and isinstance(event, QKeyEvent)
            and event.key() in KEYS
        ):
            event.accept()
            return True
        return super().event(event)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        """Enter goes on, whichever button has the keys; Backspace goes back."""
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            (self.leave if self.leave.hasFocus() else self.next).click()
        elif event.key() == Qt.Key.Key_Backspace and self.back.isEnabled():
            self.back.click()
        else:
            super().keyPressEvent(event)

    def say(self, step: TourStep, number: int, count: int, track: str) -> None:
        words = step.words.replace("{0}", track)
        self.title.setText(tr("{0}   {1} of {2}", step.title, number + 1, count))
        self.words.setText(words)
        self.back.setEnabled(number > 0)
        self.next.setText(tr("Done") if number == count - 1 else tr("Next"))
        self.setAccessibleName(f"{step.title}: {words}")

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._view.theme
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QPen(colour(theme.accent), 1.5))
        painter.setBrush(colour(theme.card))
        painter.drawRoundedRect(self.rect().adjusted(1, 1, -2, -2), 6, 6)
