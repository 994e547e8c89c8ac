"""Controls of MIDI devices, bound to sliders and actions: touch one, then the other."""

from collections.abc import Callable

from PySide6.QtCore import QEvent, QObject, QTimer, Signal
from PySide6.QtWidgets import QApplication, QWidget

from chronotome.engine.kit_table import Note, NoteKind
from chronotome.engine.midi_messages import control_name
from chronotome.ui.actions.actions import Actions
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

SLIDER, ACTION = "slider ", "action "
"""What begins a binding, as it is kept."""
SETTLED_MILLISECONDS = 350
"""After so long without a turn it is one step."""
PRESSED = 0.5


def control_words(number: int) -> str:
    """A control as devices call it."""
    channel, control, is_note = control_name(number)
    kind = tr("note") if is_note else tr("control")
    return tr("channel {0}, {1} {2}", channel, kind, control)


def slider_key(slider: ValueSlider) -> str:
    """A slider by its name and by what it stands in: the same at the next start."""
    parent = slider.parentWidget()
    while parent is not None and type(parent).__module__.startswith("PySide6"):
        parent = parent.parentWidget()
    return f"{type(parent).__name__}/{slider.accessibleName()}"


class Learning(QObject):
    """Hears controls. While it learns, a slider or an action that is touched is bound to the last one."""

    changed = Signal()
    """Another binding, or it begins or ends to learn."""

    def __init__(self, desk: UiContext, window: QWidget, actions: Callable[[], Actions]) -> None:
        super().__init__(window)
        self._desk, self._window, self._actions = desk, window, actions
        self.is_on = False
        self._control: int | None = None
        self._values: dict[int, float] = {}
        self._turning: ValueSlider | None = None
        self._settles = QTimer(self)
        self._settles.setSingleShot(True)
        self._settles.setInterval(SETTLED_MILLISECONDS)
        self._settles.timeout.connect(self._settle)
        desk.keys.played.connect(self._on_notes)
        self._attend()

    @property
    def bound(self) -> dict[str, str]:
        """Numbers of controls, and what each is bound to."""
        return self._desk.preferences.settings.controls

    def words_of(self, target: str) -> str:
        """What a control is bound to, as the window calls it."""
        if target.startswith(ACTION):
            name = target.removeprefix(ACTION)
            known = {entry.name: entry.words for entry in self._actions().entries}
            return known.get(name, name).rstrip("…")
        return target.removeprefix(SLIDER).partition("/")[2]

    # Learning

    def toggle(self) -> None:
        """Bind a control to what is touched next; again, and it ends."""
        self.end() if self.is_on else self.begin()

    def begin(self) -> None:
        self.is_on, self._control = True, None
        self._attend()
        QApplication.instance().installEventFilter(self)  # type: ignore[union-attr]
        self._desk.say(tr("Turn a knob or press a pad, then click a slider or choose a command"))
        self.changed.emit()

    def end(self) -> None:
        if not self.is_on:
            return
        self.is_on = False
        QApplication.instance().removeEventFilter(self)  # type: ignore[union-attr]
        self._attend()
        self._desk.say(tr("Learning ended"))
        self.changed.emit()

    def eventFilter(self, watched: QObject, event: QEvent) -> bool:
        """A slider that is pressed is the one that is meant."""
        if event.type() is QEvent.Type.MouseButtonPress and isinstance(watched, ValueSlider):
            self._bind(SLIDER + slider_key(watched), watched.accessibleName())
            return True
        return False

    def takes(self, name: str) -> bool:
        """Whether an action is bound now rather than done."""
        if not self.is_on or name in {"learn-control", "bound-controls"}:
            return False
        self._bind(ACTION + name, self.words_of(ACTION + name))
        return True

    def _bind(self, target: str, words: str) -> None:
        if self._control is None:
            self._desk.say(tr("Turn a knob or press a pad first, then click “{0}”", words))
            return
        number, self._control = self._control, None
        self._desk.preferences.keep(controls={**self.bound, str(number): target})
        self.end()
        self._desk.say(tr("{0} is assigned to “{1}”", control_words(number), words))

    def forget(self, number: str) -> None:
        """The control does nothing any more."""
        self._desk.preferences.keep(
            controls={key: value for key, value in self.bound.items() if key != number}
        )
        self._attend()
        self.changed.emit()

    # Doing

    def _attend(self) -> None:
        self._desk.keys.attend_controls(is_on=self.is_on or bool(self.bound))

    def _on_notes(self, notes: list[Note]) -> None:
        for note in notes:
            if note.kind == NoteKind.CONTROL:
                before = self._values.get(note.key, 0.0)
                self._values[note.key] = note.velocity
                self._on_control(note.key, before, note.velocity)

    def _on_control(self, number: int, before: float, value: float) -> None:
        is_note = control_name(number)[2]
        if self.is_on:
            if self._control != number:
                self._control = number
                self._desk.say(tr("{0}: now click a slider or choose a command", control_words(number)))
            return
        target = self.bound.get(str(number), "")
        if target.startswith(ACTION):
            if is_note or before < PRESSED <= value:
                name = target.removeprefix(ACTION)
                if any(entry.name == name for entry in self._actions().entries):
                    self._actions().run(name)
        elif target.startswith(SLIDER):
            self._turn(target.removeprefix(SLIDER), value)

    def _turn(self, key: str, value: float) -> None:
        slider = next(
            (
                each
                for each in self._window.findChildren(ValueSlider)
                if each.isVisible() and each.isEnabled() and slider_key(each) == key
            ),
            None,
        )
        if slider is None:
            self._desk.say(
                tr("“{0}” is hidden. Open its stage, then turn the control.", key.partition("/")[2])
            )
            return
        if self._turning is not slider:
            self._settle()
        self._turning = slider
        slider.turn(value)
        self._settles.start()

    def _settle(self) -> None:
        """What was turned is one step."""
        slider, self._turning = self._turning, None
        self._settles.stop()
        if slider is not None:
            slider.settled.emit(slider.value)
