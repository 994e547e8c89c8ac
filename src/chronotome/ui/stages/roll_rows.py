"""Roll and scatter of the chosen hits, in the tray of Rework."""

from collections.abc import Callable
from math import log2
from typing import Any

from PySide6.QtWidgets import QWidget

from chronotome.session.edits.hits import clip_at
from chronotome.session.edits.shaping import roll_of, scatter_of, set_roll, set_scatter
from chronotome.session.model import Session, replace
from chronotome.session.runs import drawn, roll_edges
from chronotome.session.slices import Roll, Scatter, Slices
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.slices import SliceCommands
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.histogram import Histogram
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.figures import counted, milliseconds, plain, sides, signed
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

COUNTS = (2, 3, 4, 5, 6, 7, 8, 12, 16, 24, 32)
STEPS = {
    tr("evenly"): 0.0,
    "1/8": 0.5,
    "1/8 T": 1 / 3,
    "1/16": 0.25,
    "1/16 T": 1 / 6,
    "1/32": 0.125,
    "1/64": 0.0625,
}
"""Quarter notes from one repeat to the next."""
KINDS = ("loudness", "pan", "semitones", "start", "timing")
MOST = {"loudness": 24.0, "pan": 1.0, "semitones": 24.0, "start": 200.0, "timing": 100.0}
"""Of each kind, at 100 % of the slider."""
KIND_WORDS = (tr("level"), tr("pan"), tr("pitch"), tr("start"), tr("time"))


def _decibels(value: float) -> str:
    return tr("{0} dB", signed(value))


def _semitones(value: float) -> str:
    return tr("{0} st", signed(value, 0 if value == round(value) else 2))


def _hurry(value: float) -> str:
    return tr("even") if not value else f"×{plain(2**value, 2)}"


class RollRows(Rows):
    """A hit as several shorter repeats, and how these change from the first to the last."""

    def __init__(self, desk: UiContext, actions: Actions, slices: SliceCommands) -> None:
        super().__init__(desk, actions)
        self._slices = slices
        with self.folded(tr("Roll")) as self.fold:
            row = self.row(tr("Repeats"))
            self.count = Combo(tr("Roll repeats"), [tr("single hit"), *(str(each) for each in COUNTS)])
            self.step = Combo(tr("Repeat spacing"), list(STEPS))
            for combo, do in ((self.count, self._choose_count), (self.step, self._choose_step)):
                combo.activated.connect(do)
                row.addWidget(combo, 1)
            self.sliders = {
                "first": self._slider(tr("First"), -24, 12, _decibels, 0.5, self._loudness(0)),
                "last": self._slider(tr("Last"), -24, 12, _decibels, 0.5, self._loudness(1)),
                "pitch": self._slider(tr("End pitch"), -24, 24, _semitones, 1.0, self._pitch),
                "pan": self._slider(tr("End pan"), -100, 100, sides, 5.0, self._pan),
                "hurry": self._slider(tr("Acceleration"), -3, 3, _hurry, 0.1, self._hurry),
            }
            self.beside(self.sliders["first"], self.sliders["last"])
            self.beside(self.sliders["pitch"], self.sliders["pan"])
            self.back = Segmented(desk.view, tr("Roll pitch and pan"), [tr("ramp"), tr("up and back")])
            self.back.chosen.connect(lambda index: self._set(tr("Set roll ramps"), returns=bool(index)))
            self.add(self.sliders["hurry"])
            self.add(self.back)
            self.add_buttons("roll-hits")[0].setText(tr("Expand to hits"))

    def _slider(  # noqa: PLR0917 - what a slider is
        self,
        words: str,
        low: float,
        high: float,
        write: Callable[[float], str],
        step: float,
        change: Callable[[Roll, float], Roll],
    ) -> ValueSlider:
        slider = ValueSlider(self.desk.view, words, low, high, write, step=step, usual=0.0)

        def edit(session: Session, value: float) -> Session:
            view = self.desk.view
            if view.chosen.place is None or not view.chosen.hits:
                return session
            slices = clip_at(session, view.chosen.place).take.slices
            roll = None if slices is None else roll_of(slices, view.chosen.hits)
            return set_roll(session, view.chosen.place, view.chosen.hits, change(roll or Roll(), value))

        self.bind(slider, edit, tr("Roll: {0}", words.lower()))
        return slider

    @staticmethod
    def _loudness(end: int) -> Callable[[Roll, float], Roll]:
        def change(roll: Roll, value: float) -> Roll:
            first, last = roll.loudness
            return replace(roll, loudness=(value, last) if end == 0 else (first, value))

        return change

    @staticmethod
    def _pitch(roll: Roll, value: float) -> Roll:
        return replace(roll, semitones=(0.0, value))

    @staticmethod
    def _pan(roll: Roll, value: float) -> Roll:
        return replace(roll, pans=(0.0, value / 100))

    @staticmethod
    def _hurry(roll: Roll, value: float) -> Roll:
        return replace(roll, hurry=round(2**value, 4))

    def _set(self, label: str, **values: Any) -> None:
        del label
        self._slices.set_roll(replace(self._slices.roll or Roll(), **values))

    def _choose_count(self, index: int) -> None:
        roll = self._slices.roll
        if index == 0:
            self._slices.set_roll(None)
        elif index <= len(COUNTS):
            self._set(tr("Repeats"), count=COUNTS[index - 1], step=0.0)
            if roll is not None and roll.step:
                self.desk.say(tr("{0}, evenly spaced: off the grid", self._said()))

    def _choose_step(self, index: int) -> None:
        roll, step = self._slices.roll, list(STEPS.values())[index]
        count = {} if step or roll is None or not roll.step else {"count": max(2, self._repeats(roll))}
        self._set(tr("Repeats"), step=step, **count)
        if step:
            self.desk.say(tr("{0}: as many as fit into the hit", self._said()))

    def _said(self) -> str:
        roll = self._slices.roll
        return "" if roll is None else self._words(roll)

    def show_roll(self, slices: Slices) -> None:
        view = self.desk.view
        roll = roll_of(slices, view.chosen.hits)
        is_some = bool(view.chosen.hits)
        widgets: tuple[QWidget, ...] = (self.count, self.step, self.back, *self.sliders.values())
        for widget in widgets:
            widget.setEnabled(is_some)
        self.fold.say(tr("Roll") if roll is None else tr("Roll · {0}", self._words(roll)))
        shown = roll or Roll()
        self._show_count(None if roll is None else self._repeats(roll))
        steps = list(STEPS.values())
        self.step.setCurrentIndex(steps.index(shown.step) if roll is not None and shown.step in steps else 0)
        self.sliders["first"].set_value(shown.loudness[0])
        self.sliders["last"].set_value(shown.loudness[1])
        self.sliders["pitch"].set_value(shown.semitones[1])
        self.sliders["pan"].set_value(100 * shown.pans[1])
        self.sliders["hurry"].set_value(_octaves(shown.hurry))
        self.back.set_index(int(shown.returns))

    def _repeats(self, roll: Roll) -> int:
        """How many repeats the first chosen roll has: as chosen, or as many as its grid has room for."""
        shown, slices = self.desk.shown, self._slices.slices
        if not roll.step or shown is None or slices is None or shown.plan.sliced is None:
            return roll.count
        rolled = slices.column("rolled")
        at = next(each for each in slices.at(self.desk.view.chosen.hits) if rolled[each])
        first, last = (int(each[at]) for each in (shown.plan.sliced.starts, shown.plan.sliced.ends))
        session = self.desk.session
        return len(roll_edges(roll, first, last, session.tempo, session.rate)) - 1

    def _show_count(self, repeats: int | None) -> None:
        """What sounds; a number that is not in the list stands below it."""
        while self.count.count() > len(COUNTS) + 1:
            self.count.removeItem(self.count.count() - 1)
        if repeats is not None and repeats not in COUNTS:
            self.count.addItem(str(repeats))
        items = [self.count.itemText(each) for each in range(self.count.count())]
        self.count.setCurrentIndex(0 if repeats is None else items.index(str(repeats)))

    def _words(self, roll: Roll) -> str:
        names = {value: name for name, value in STEPS.items()}
        repeats = counted(self._repeats(roll), "repeat")
        return tr("{0}, every {1}", repeats, names.get(roll.step, "step")) if roll.step else repeats


def _octaves(hurry: float) -> float:
    return round(log2(hurry), 2)


class ScatterRows(Rows):
    """A seeded spread of the chosen hits, and what it does."""

    def __init__(self, desk: UiContext, actions: Actions, slices: SliceCommands) -> None:
        super().__init__(desk, actions)
        self._slices = slices
        with self.folded(tr("Random")) as self.fold:
            self.kind = Segmented(desk.view, tr("Random property"), list(KIND_WORDS))
            self.kind.setMinimumWidth(0)
            self.kind.chosen.connect(lambda _index: self.show_scatter())
            self.add(self.kind)
            self.histogram = Histogram(desk.view, tr("Distribution"))
            self.add(self.histogram)
            self.amount = ValueSlider(desk.view, tr("Amount"), 0, 100, self._amount_words, step=1, usual=0.0)
            self.bind(self.amount, self._with_amount, tr("Randomise hits"))
            self.lean = ValueSlider(desk.view, tr("Bias"), -100, 100, _lean, step=5, usual=0.0)
            self.bind(self.lean, self._with_lean, tr("Set random bias"))
            self.beside(self.amount, self.lean)
            self._short_buttons({"scatter": tr("Redraw"), "keep-scatter": tr("Keep")})

    @property
    def _name(self) -> str:
        return KINDS[self.kind.index]

    def _amount_words(self, value: float) -> str:
        return f"±{self._words(value / 100 * MOST[self._name])}"

    def _words(self, value: float) -> str:
        if self._name == "loudness":
            return tr("{0} dB", plain(value))
        if self._name == "pan":
            return f"{plain(100 * value, 0)}"
        return tr("{0} st", plain(value)) if self._name == "semitones" else milliseconds(value)

    def _edited(self, session: Session, change: Callable[[Scatter], Scatter]) -> Session:
        view = self.desk.view
        if view.chosen.place is None or not view.chosen.hits:
            return session
        slices = clip_at(session, view.chosen.place).take.slices
        scatter = None if slices is None else scatter_of(slices, view.chosen.hits)
        return set_scatter(session, view.chosen.place, view.chosen.hits, change(scatter or Scatter()))

    def _with_amount(self, session: Session, value: float) -> Session:
        name, most = self._name, MOST[self._name]
        return self._edited(session, lambda each: replace(each, **{name: round(value / 100 * most, 4)}))

    def _with_lean(self, session: Session, value: float) -> Session:
        return self._edited(session, lambda each: replace(each, lean=value / 100))

    def show_scatter(self) -> None:
        slices, view = self._slices.slices, self.desk.view
        if slices is None:
            return
        scatter = scatter_of(slices, view.chosen.hits)
        for widget in (self.kind, self.amount, self.lean):
            widget.setEnabled(bool(view.chosen.hits))
        shown, name = scatter or Scatter(), self._name
        most = float(getattr(shown, name))
        self.amount.set_value(100 * most / MOST[name])
        self.lean.set_value(100 * shown.lean)
        at = slices.at(view.chosen.hits)
        values = drawn(shown, name, slices.id_array[at])
        words = self._words(most)
        self.histogram.show_values(values, most, (f"−{words}", f"+{words}"))
        self.fold.say(tr("Random") if scatter is None else tr("Random · {0}", counted(len(at), "hit")))


def _lean(value: float) -> str:
    if not value:
        return tr("none")
    return tr("{0:.0f} % down", -value) if value < 0 else tr("{0:.0f} % up", value)
