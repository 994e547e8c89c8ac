"""What the tray of Rework says of patterns: steps, chance, rounds, the kit that they play."""

import numpy as np
from PySide6.QtWidgets import QWidget

from chronotome.order_stats import middle_of
from chronotome.session.edits.kits import SHAPE, column_of, set_kit, set_slice, shift_slices
from chronotome.session.kits import KEY_NAMES, KitSlice, key_name
from chronotome.session.model import Session
from chronotome.session.patterns import Pattern
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.patterns import PatternCommands
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.units import factor_of, slider_of
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.figures import (
    counted,
    plain,
    semitones,
)
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

BEATS = (1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 12.0, 16.0, 32.0)
"""Quarter notes that a pattern can be set to by the list."""
ROUNDS = (1, 2, 3, 4, 6, 8, 12, 16)
KEYS = 3 * len(KEY_NAMES)
"""That a slice can be put on by the list."""
EVERYS = (tr("every cycle"), tr("1 of 2"), tr("1 of 3"), tr("1 of 4"), tr("1 of 8"))
EVERY_NUMBERS = (1, 2, 3, 4, 8)


class PatternRows(Rows):
    """Settings of the chosen steps, of their pattern, and of its kit."""

    def __init__(self, desk: UiContext, actions: Actions, patterns: PatternCommands) -> None:
        super().__init__(desk, actions)
        self._patterns = patterns
        self.sliders: dict[str, tuple[ValueSlider, float]] = {}
        self.slice_sliders: dict[str, tuple[ValueSlider, float]] = {}
        self.kit_sliders: dict[str, ValueSlider] = {}
        self.head = self.add_label("", "heading")
        self._build_steps()
        with self.folded(tr("Chance and repeats")) as self.chance:
            self._build_chance()
        with self.folded(tr("Pattern")) as self.about:
            self._build_pattern()
        with self.folded(tr("Slice")) as self.slice_fold:
            self._build_slice()
        with self.folded(tr("Kit")) as self.kit_fold:
            self._build_kit()
        self.show_pattern()

    def _slider(self, name: str) -> ValueSlider:
        column = Pattern.shaped[name]
        slider, factor = slider_of(self.desk.view, column), factor_of(column)
        self.sliders[name] = slider, factor
        self.bind(
            slider,
            lambda session, value: self._patterns.set_shape(session, name, value / factor),
            tr("{0} of steps", column.label),
        )
        return slider

    def _build_steps(self) -> None:
        words = {"hear-onset": tr("Play"), "duplicate": tr("Copy"), "choose-same": tr("All")}
        self._of_chosen = self._short_buttons(words)
        loud = self._slider("loudness")
        length = self._slider("lengths")
        pitch = self._slider("semitones")
        pan = self._slider("pans")
        self.beside(loud, length)
        self.beside(pitch, pan)

    def _build_chance(self) -> None:
        chance = self._slider("chances")
        repeats = self._slider("repeats")
        slope = self._slider("slopes")
        self.every = Combo(tr("Cycles in which the steps play"), list(EVERYS))
        self.every.activated.connect(self._choose_every)
        self.beside(chance, repeats)
        self.add(slope)
        self.row(tr("Play in")).addWidget(self.every, 1)
        self._short_buttons({"chance-again": tr("Redraw"), "chance-keep": tr("Keep this cycle")})

    def _build_pattern(self) -> None:
        self.which = Combo(tr("Pattern of the clip"), [])
        self.which.activated.connect(self._choose_pattern)
        self.row(tr("Pattern")).addWidget(self.which, 1)
        self.beats = Combo(tr("Length of one cycle"), [])
        self.beats.activated.connect(self._choose_beats)
        self.row(tr("Length")).addWidget(self.beats, 1)
        self.rounds = Combo(tr("Number of pattern cycles"), [])
        self.rounds.activated.connect(self._choose_rounds)
        self.row(tr("Cycles")).addWidget(self.rounds, 1)
        self._short_buttons(
            {"pattern-empty": tr("New"), "pattern-vary": tr("Vary"), "pattern-again": tr("Repeat")}
        )
        self._short_buttons(
            {"layer-up": tr("Octave up"), "layer-down": tr("Octave down"), "layer-free": tr("Detach")}
        )
        self._short_buttons({"pattern-open": tr("Open…"), "pattern-save": tr("Save…")})

    def _build_kit(self) -> None:
        self.pitch = ValueSlider(self.desk.view, tr("Kit pitch"), -24, 24, semitones, step=1.0, usual=0.0)
        self.bind(self.pitch, self._set_kit_pitch, tr("Set kit pitch"))
        self.add(self.pitch)
        attack = self._kit_slider("fade_in", tr("Attack of all"))
        decay = self._kit_slider("fade_out", tr("Decay of all"))
        loud = self._kit_slider("loudness", tr("Loudness of all"))
        tone = self._kit_slider("tilt", tr("Tone of all"))
        self.beside(attack, decay)
        self.beside(loud, tone)
        self.by_tape = Segmented(self.desk.view, tr("Pitch mode"), [tr("tape"), tr("keep length")])
        self.by_tape.chosen.connect(
            lambda index: self._patterns.kits.set_kit(tr("Change pitch mode of kit"), by_tape=index == 0)
        )
        self.row(tr("Pitch")).addWidget(self.by_tape, 1)
        self._short_buttons(
            {"kit-fits": tr("Fit to tempo"), "declick": tr("Declick"), "add-to-keys": tr("Add hits")}
        )

    def _kit_slider(self, name: str, words: str) -> ValueSlider:
        """It shows the middle slice, and moves all by as much."""
        slider, factor = slider_of(self.desk.view, column_of(name), words), factor_of(column_of(name))
        self.kit_sliders[name] = slider

        def edit(session: Session, value: float) -> Session:
            kit = self._patterns.kit
            return session if kit is None else shift_slices(session, kit.id, name, value / factor)

        self.bind(slider, edit, words)
        return slider

    def _build_slice(self) -> None:
        """Of the slices of the chosen steps: whatever plays them is otherwise."""
        self.key = Combo(tr("Key of the slice"), [key_name(each) for each in range(KEYS)])
        self.key.activated.connect(self._patterns.kits.put_slice_on)
        self.row(tr("Key")).addWidget(self.key, 1)
        sliders = [self._slice_slider(name) for name in SHAPE if column_of(name).shown is not None]
        for at in range(0, len(sliders), 2):
            self.beside(*sliders[at : at + 2])
        self._short_buttons({"reverse-clip": tr("Reverse")})
        self.choke = Combo(
            tr("Choke group of selected slices"),
            [tr("no group"), *(tr("group {0}", n) for n in range(1, 9))],
        )
        self.choke.activated.connect(
            lambda index: self._patterns.kits.set_slices(tr("Choke group"), choke=index)
        )
        self.row(tr("Choke group")).addWidget(self.choke, 1)
        self.held = Segmented(self.desk.view, tr("Set trigger mode"), [tr("one-shot"), tr("while held")])
        self.held.chosen.connect(
            lambda index: self._patterns.kits.set_slices(tr("Set trigger mode"), is_held=index == 1)
        )
        self.row(tr("Trigger")).addWidget(self.held, 1)

    def _slice_slider(self, name: str) -> ValueSlider:
        column = column_of(name)
        words, factor = tr("{0} of the slice", column.label), factor_of(column)
        slider = slider_of(self.desk.view, column, words)
        self.slice_sliders[name] = slider, factor

        def edit(session: Session, value: float) -> Session:
            kit, pieces = self._patterns.kit, self._patterns.kits.chosen_pieces
            if kit is None:
                return session
            return set_slice(session, kit.id, pieces, **{name: round(value / factor, 3)})

        self.bind(slider, edit, words)
        return slider

    def _set_kit_pitch(self, session: Session, value: float) -> Session:
        kit = self._patterns.kit
        return session if kit is None else set_kit(session, kit.id, semitones=round(value, 2))

    def _choose_every(self, index: int) -> None:
        store = self.desk.store
        number = EVERY_NUMBERS[index]
        store.apply(
            lambda session: self._patterns.set_shape(session, "everys", number), tr("Set cycles of steps")
        )

    def _choose_pattern(self, index: int) -> None:
        patterns = self.desk.session.patterns
        if index < len(patterns):
            self._patterns.play_other(patterns[index].id)

    def _choose_beats(self, index: int) -> None:
        self._patterns.set_beats(self._lengths()[index])

    def _choose_rounds(self, index: int) -> None:
        self._patterns.set_rounds(self._counts()[index])

    def _lengths(self) -> list[float]:
        pattern = self._patterns.pattern
        return sorted({*BEATS, *(() if pattern is None else (pattern.beats,))})

    def _counts(self) -> list[float]:
        clip, pattern = self._patterns.clip, self._patterns.pattern
        own = 1.0
        if clip is not None and clip.take.playing is not None and pattern is not None:
            own = round(clip.take.playing.beats / pattern.beats, 3)
        return sorted({*map(float, ROUNDS), own})

    def show_pattern(self) -> None:
        pattern, steps, kit = self._patterns.pattern, self.desk.view.chosen.steps, self._patterns.kit
        if pattern is None or kit is None:
            return
        self.head.setText(
            tr("{0} of {1} selected", counted(len(steps), "step"), len(pattern))
            if steps
            else tr("{0}, none selected", counted(len(pattern), "step"))
        )
        at = pattern.at(steps[-1:])
        for button in self._of_chosen:
            button.setEnabled(bool(at))
        for name, (slider, factor) in self.sliders.items():
            slider.setEnabled(bool(at))
            if at:
                slider.set_value(float(pattern.column(name)[at[0]]) * factor)
        every = int(pattern.column("everys")[at[0]]) if at else 1
        self.every.setEnabled(bool(at))
        self.every.setCurrentIndex(EVERY_NUMBERS.index(every) if every in EVERY_NUMBERS else -1)
        names = [each.name for each in self.desk.session.patterns]
        numbers = [each.id for each in self.desk.session.patterns]
        self._fill(self.which, names, numbers.index(pattern.id))
        clip, metre = self._patterns.clip, self.desk.session.metre
        bar = metre.bar_length(0.0 if clip is None else clip.take.beat)
        lengths = self._lengths()
        self._fill(self.beats, [_length_words(each, bar) for each in lengths], lengths.index(pattern.beats))
        self._show_rounds(pattern.beats)
        self.pitch.set_value(kit.semitones)
        for name, each in self.kit_sliders.items():
            middle = middle_of(np.array([getattr(piece, name) for piece in kit.slices]))
            each.set_value(round(middle * factor_of(column_of(name)), 2))
        self.by_tape.set_index(0 if kit.by_tape else 1)
        piece = None if not at else kit.slice_of(pattern.slices[at[0]])
        self._show_slice(piece, 0 if piece is None else pattern.slices.count(piece.id))
        self.about.say(tr("Pattern · {0}", pattern.name))
        self.kit_fold.say(tr("Kit · {0}", counted(len(kit.slices), "slice")))

    def _show_slice(self, piece: KitSlice | None, steps: int) -> None:
        sliders = [each for each, _ in self.slice_sliders.values()]
        widgets: tuple[QWidget, ...] = (self.key, self.choke, self.held, *sliders)
        for widget in widgets:
            widget.setEnabled(piece is not None)
        words = "" if piece is None else tr("Slice {0}: {1}", key_name(piece.key), counted(steps, "step"))
        self.slice_fold.say(words or tr("Slice"))
        if piece is None:
            return
        self.key.setCurrentIndex(piece.key if piece.key < KEYS else -1)
        self.choke.setCurrentIndex(min(piece.choke, 8))
        self.held.set_index(int(piece.is_held))
        for name, (slider, factor) in self.slice_sliders.items():
            slider.set_value(float(getattr(piece, name)) * factor)

    def _show_rounds(self, beats: float) -> None:
        counts, clip = self._counts(), self._patterns.clip
        playing = None if clip is None else clip.take.playing
        own = 1.0 if playing is None else round(playing.beats / beats, 3)
        self._fill(
            self.rounds, [f"×{plain(each, 2).rstrip('0').rstrip('.')}" for each in counts], counts.index(own)
        )

    @staticmethod
    def _fill(combo: Combo, words: list[str], index: int) -> None:
        if words != [combo.itemText(each) for each in range(combo.count())]:
            combo.clear()
            combo.addItems(words)
        combo.setCurrentIndex(index)


def _length_words(beats: float, bar: float) -> str:
    bars = beats / bar
    if abs(bars - round(bars)) < 1e-6:
        return counted(round(bars), "bar")
    return tr("{0} beats", plain(beats, 2).rstrip("0").rstrip("."))
