"""The tray of Tighten: what the recipe is for, what hits are drawn to, how far; every setting live."""

from functools import partial

from PySide6.QtWidgets import QHBoxLayout, QLabel, QMenu, QPushButton, QVBoxLayout

from chronotome.dsp.bands import Material
from chronotome.dsp.stretch.engines import EngineName, Fill, Keeps, MoveBy, engine_of
from chronotome.files.grooves import kept_grooves, shipped_grooves
from chronotome.session.check import NOTHING, Kind
from chronotome.session.edits.matching import set_match
from chronotome.session.edits.tightening import set_recipe
from chronotome.session.edits.tracks import set_bears, set_fill, set_keeps, set_move_by, set_pitch
from chronotome.session.grid import DIVISIONS, Feel, Grid, position_words
from chronotome.session.groove import Groove, blended
from chronotome.session.lines import SwingOf
from chronotome.session.model import (
    MOST_SEMITONES,
    MOST_SHIFT,
    USUAL_BEARS,
    Alone,
    Session,
    Take,
    TightenSettings,
    Track,
    replace,
)
from chronotome.session.strokes import USUAL_STROKE
from chronotome.ui.action_table import SHORT
from chronotome.ui.actions import Actions
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.figures import signed
from chronotome.ui.controls.folded_bar import FoldedBar
from chronotome.ui.controls.segmented import Segmented, index_in
from chronotome.ui.controls.soon import Soon
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.desk import Desk
from chronotome.ui.stages.check_rows import CheckRow
from chronotome.ui.stages.tray import Tray
from chronotome.ui.view_state import Evidence, For, Stage

FEELS, WAYS, SWINGS, ALONES = tuple(Feel), tuple(MoveBy), tuple(SwingOf), tuple(Alone)
MOST_CHECKS = 3
GRID, GROOVE, TAKE = range(3)
AS_RULER = "as the ruler"
SWING_WORDS = {SwingOf.GRID: "the grid’s pairs", SwingOf.EIGHTHS: "eighths", SwingOf.SIXTEENTHS: "sixteenths"}


KEEPS_WORDS = {
    Keeps.HEARD: "as heard",
    Keeps.DRUMS: "drums: noise and tails",
    Keeps.ONE_NOTE: "one note at a time",
    Keeps.CHORDS: "chords and mixes",
}


def _catch_words(percent: float) -> str:
    return "all" if percent >= 100 else f"{percent:.0f} %"


def _percent(value: float) -> str:
    return f"{value:.0f} %"


def _pitch_words(value: float) -> str:
    return f"{signed(value, 0 if value == round(value) else 2)} st"


def _shift_words(value: float) -> str:
    return f"{signed(value, 0)} ms"


class TightenTray(Tray):
    def __init__(self, desk: Desk, actions: Actions, commands: Commands) -> None:
        super().__init__(desk, actions, Stage.TIGHTEN, "live · nothing is committed")
        self._commands, self._tighten = commands, commands.tighten
        self._sliders: dict[str, ValueSlider] = {}
        self._blend: tuple[Groove, Groove] | None = None
        """The groove as it was, and the one that it is blended with."""
        self.whom = Segmented(desk.view, "What the recipe is for", ["track", "span", "chosen"])
        self.whom.chosen.connect(self._choose_for)
        self.row("For").addWidget(self.whom, 1)
        self.to = Segmented(desk.view, "What hits are drawn to", ["grid", "groove", "take"])
        self.to.chosen.connect(self._choose_to)
        self.row("To").addWidget(self.to, 1)
        self._build_grid()
        self.folded_bar = FoldedBar(desk)
        self.folded_bar.chosen.connect(commands.hits.choose_step)
        self.add(self.folded_bar)
        self.strength = self._slider("strength", "Strength", 0, 100, _percent, "Set strength", unit=100)
        alone_words = "Set leave-alone window"
        self.alone = self._slider(
            "leave_alone", "Leave alone", 0, 30, lambda value: f"±{value:.0f} ms", alone_words
        )
        self.beside(self.strength, self.alone)
        self._build_straight()
        self._build_groove()
        self._build_take()
        self._build_rare()
        self.add_rule()
        self.way = self.choice(
            "Move the audio by",
            [str(way).capitalize() for way in WAYS],
            self._set_way,
            "Move the audio another way",
        )
        with self.section() as self._keeping:
            self.keeps = self.combo("Keeps", list(KEEPS_WORDS.values()), self._choose_keeps)
        with self.section() as self._filling:
            self.fill = self.combo("Gaps", [str(fill) for fill in Fill], self._choose_fill)
        self.add_rule()
        self._build_checks()
        self.finish()
        view = desk.view
        for signal in (view.focus_changed, view.evidence_changed, view.selection_changed, view.snap_changed):
            signal.connect(self._show)
        view.selection_changed.connect(self._show_selection)
        view.library_changed.connect(self._fill_grooves)
        desk.store.changed.connect(self._show)
        desk.store.watch(self, self._fill_grooves, lambda session: session.grooves)
        desk.store.watch(self, self._fill_takes, lambda session: session.tracks)
        desk.view.focus_changed.connect(self._fill_takes)
        self._fill_grooves()
        self._fill_takes()
        self._show()

    # Building

    def _slider(  # noqa: PLR0917 - what a slider is
        self,
        name: str,
        words: str,
        low: float,
        high: float,
        figure: object,
        label: str,
        *,
        unit: float = 1.0,
        step: float = 1.0,
        usual: float | None = None,
    ) -> ValueSlider:
        """A slider of one setting of the recipe; `unit` leads from the setting to what is shown."""
        slider = ValueSlider(self.desk.view, words, low, high, figure, step=step, usual=usual)  # type: ignore[arg-type]

        def edit(session: Session, value: float) -> Session:
            return self._set(session, **{name: round(value / unit, 4)})

        self.bind(slider, edit, label)
        return slider

    def _build_grid(self) -> None:
        row = self.row("Grid")
        self.division = Combo("Grid", [*(f"1/{division}" for division in DIVISIONS), AS_RULER])
        self.feel = Combo("Feel of the grid", [str(feel) for feel in FEELS])
        for combo, do in ((self.division, self._choose_division), (self.feel, self._choose_feel)):
            combo.activated.connect(do)
            row.addWidget(combo, 1)

    def _build_straight(self) -> None:
        with self.section() as self._straight:
            self.swing = self._slider("swing", "Swing", 50, 75, _percent, "Set swing", usual=50)
            self.add(self.swing)

    def _build_groove(self) -> None:
        with self.section() as self._grooved:
            self.groove = self.combo("Groove", [], self._choose_groove)
            self.timing = self._slider(
                "timing", "Timing", 0, 150, _percent, "Set groove timing", unit=100, usual=100
            )
            self.loudness = self._slider(
                "loudness", "Loudness", 0, 100, _percent, "Set groove loudness", unit=100
            )
            self.beside(self.timing, self.loudness)
            self.blending = QPushButton("Blend…")
            self.blending.setToolTip("Blend the groove with another one")
            self.blending.clicked.connect(self._ask_blend)
            self.add_buttons("take-groove", "keep-groove", more=(self.blending,))
            self.blend = ValueSlider(self.desk.view, "Blend", 0, 100, _percent)
            self.add(self.blend)
            self.bind(self.blend, self._set_blend, "Blend grooves")
            self.blend.hide()

    def _build_take(self) -> None:
        with self.section() as self._matched:
            self.follows = self.combo("Follows", [], self._choose_take)
            self.within = ValueSlider(
                self.desk.view, "Pair within", 5, 300, lambda value: f"±{value:.0f} ms", step=5, usual=90
            )
            self.bind(self.within, self._set_within, "Set pairing")
            self.add(self.within)
            self.alones = Segmented(self.desk.view, "Hits alone", ["along", "as played", "silent"])
            self.alones.chosen.connect(self._choose_alone)
            self.row("Alone").addWidget(self.alones, 1)
            self.add_buttons("break-pair", "pair-found", "hear-pair")

    def _build_rare(self) -> None:
        with self.folded("More: rounds, variants, strokes, swing") as self.fold:
            self.add_buttons("once-less", "once-more")
            self.shift = self._slider(
                "shift", "All of it", -MOST_SHIFT, MOST_SHIFT, _shift_words, "Shift the lines", usual=0
            )
            self.even = self._slider("loudness", "Even loudness", 0, 100, _percent, "Even loudness", unit=100)
            self.beside(self.shift, self.even)
            self.stroke = self._slider(
                "stroke",
                "One stroke",
                0,
                100,
                lambda value: f"{value:.0f} ms",
                "Set stroke",
                usual=USUAL_STROKE,
            )
            self.catch = self._slider(
                "catch", "Catch range", 5, 100, _catch_words, "Set catch range", unit=100, step=5, usual=100
            )
            self.beside(self.stroke, self.catch)
            self.pitch = ValueSlider(
                self.desk.view, "Pitch", -MOST_SEMITONES, MOST_SEMITONES, _pitch_words, usual=0
            )
            self.bears = ValueSlider(
                self.desk.view,
                "Bears up to",
                1.05,
                3.0,
                lambda value: f"×{value:.2f}",
                step=0.05,
                usual=USUAL_BEARS,
            )
            self.bind(self.pitch, self._set_pitch, "Set pitch")
            self.bind(self.bears, self._set_bears, "Set what it bears")
            self.beside(self.pitch, self.bears)
            self.swing_of = self.combo("Swing of", list(SWING_WORDS.values()), self._choose_swing_of)
            self.scales = self.combo(
                "Groove is", ["the same ms at any tempo", "the same share of a step"], self._choose_scales
            )
            self.variant = self.combo("Variant", [], self._choose_variant)
            self.add_buttons("keep-variant", "clear-own")
            (self.own,) = self.add_buttons("own-recipe")
            self.add_buttons("reset-hit", "reset-hits")
            self.add_buttons("silence", "room-noise", "noise-back")
            self.noises = self.combo("Noises", [], self._go_to_noise)

    def _build_checks(self) -> None:
        row = QHBoxLayout()
        self.rows.addLayout(row)
        self.to_check = QLabel("To check")
        self.to_check.setObjectName("heading")
        self.kind = Combo("Kind of places to check", ["all kinds", *Kind])
        self.kind.activated.connect(
            lambda index: self.desk.view.show_kind(list(Kind)[index - 1] if index else None)
        )
        row.addWidget(self.to_check)
        row.addWidget(self.kind, 1)
        self._checks = QVBoxLayout()
        self._checks.setSpacing(4)
        self.rows.addLayout(self._checks)
        self.decisions = self.add_buttons("to-earlier", "leave-hit", "to-later")
        self._check_rows: list[CheckRow] = []
        self._soon = Soon(self._show_checks, self)

    # What is meant

    @property
    def _guide(self) -> Track | None:
        leading = self.desk.view.leading
        return None if leading is None else leading[0]

    @property
    def _take(self) -> Take | None:
        shown = self.desk.guiding
        return None if shown is None else shown.take

    @property
    def _material(self) -> Material:
        shown = self.desk.guiding
        return Material.MIXED if shown is None else shown.recording.material

    def _set(self, session: Session, **values: object) -> Session:
        scope = self.desk.view.scope
        edit = self.desk.leading_edit(
            lambda each, track, take: set_recipe(each, track, take, scope, **values)
        )
        return edit(session)

    def _apply(self, label: str, **values: object) -> None:
        self.desk.store.apply(lambda session: self._set(session, **values), label)

    # Choices

    def _choose_for(self, index: int) -> None:
        self._tighten.show_for(For(index))
        self.whom.set_index(self.desk.view.recipe_for)

    def _choose_to(self, index: int) -> None:
        view, recipe = self.desk.view, self.desk.view.recipe
        if index == TAKE:
            others = self._others()
            if not others:
                self.desk.say("There is no other track to follow")
                self._show()
                return
            self._tighten.match(recipe.match.track if recipe.match is not None else others[0].id)
            view.show_evidence(Evidence.MATCH)
            return
        groove = self.desk.session.groove(recipe.groove) if index == GROOVE else None
        if index == GROOVE and groove is None:
            groove = self.desk.groove or next(iter(self.desk.session.grooves), None)
            groove = groove or next(iter(self._offered()), None)
        self.desk.store.apply(lambda session: self._set(session, match=None), "Tighten to the grid")
        self._commands.grooves.play(groove)
        view.show_evidence(Evidence.GROOVE if index == GROOVE else Evidence.DRIFT)
        if groove is not None:
            view.show_groove(None)

    def _choose_division(self, index: int) -> None:
        grid = self.desk.view.recipe.grid
        new = replace(grid, division=DIVISIONS[index]) if index < len(DIVISIONS) else self.desk.view.grid
        self._apply("Set grid", grid=new)
        self._show()

    def _choose_feel(self, index: int) -> None:
        self._apply("Set grid", grid=replace(self.desk.view.recipe.grid, feel=FEELS[index]))

    def _choose_swing_of(self, index: int) -> None:
        self._apply("Set swing", swing_of=SWINGS[index])

    def _choose_scales(self, index: int) -> None:
        self._apply("Set groove", scales=bool(index))

    def _choose_variant(self, index: int) -> None:
        name = self.variant.itemData(index)
        if name:
            self._tighten.use_variant(name)

    def _choose_groove(self, index: int) -> None:
        groove = self.groove.itemData(index)
        if isinstance(groove, Groove):
            self._commands.grooves.play(groove)
            self.desk.view.show_groove(None)
            self.desk.view.show_evidence(Evidence.GROOVE)

    def _choose_take(self, index: int) -> None:
        self._tighten.match(self.follows.itemData(index))

    def _choose_alone(self, index: int) -> None:
        self._set_match("Hits alone", alone=ALONES[index])

    def _go_to_noise(self, index: int) -> None:
        """Put the playhead into a noise that is not heard: from there it can be heard again."""
        shown, frame = self.desk.guiding, self.noises.itemData(index)
        if shown is not None and frame is not None:
            self.desk.view.select(None)
            place = shown.frame_shown(frame)
            self.desk.transport.go_to(place)
            self.desk.view.center_on(place)

    def _set_match(self, label: str, **values: object) -> None:
        scope = self.desk.view.scope
        self._tighten.edit(
            lambda session, track, take: set_match(session, track, take, scope, **values), label
        )

    def _set_within(self, session: Session, value: float) -> Session:
        scope = self.desk.view.scope
        edit = self.desk.leading_edit(
            lambda each, track, take: set_match(each, track, take, scope, within=value)
        )
        return edit(session)

    def _choose_keeps(self, index: int) -> None:
        guide = self._guide
        if guide is not None:
            keeps = list(KEEPS_WORDS)[index]
            self.desk.store.apply(lambda session: set_keeps(session, guide.id, keeps), "Choose material")

    def _choose_fill(self, index: int) -> None:
        guide = self._guide
        if guide is not None:
            fill = list(Fill)[index]
            self.desk.store.apply(lambda session: set_fill(session, guide.id, fill), "Fill gaps otherwise")

    def _set_pitch(self, session: Session, value: float) -> Session:
        guide = self._guide
        return session if guide is None else set_pitch(session, guide.id, value)

    def _set_bears(self, session: Session, value: float) -> Session:
        guide = self._guide
        return session if guide is None else set_bears(session, guide.id, value)

    def _set_way(self, session: Session, index: int) -> Session:
        guide = self._guide
        return session if guide is None else set_move_by(session, guide.id, WAYS[index])

    # Blending

    def _ask_blend(self) -> None:
        """With which other groove."""
        groove = self.desk.groove
        if groove is None:
            self.desk.say("There is no groove to blend yet")
            return
        menu = QMenu(self)
        for other in (*self.desk.session.grooves, *self._offered()):
            if other.name != groove.name:
                menu.addAction(other.name, partial(self.blend_with, other))
        menu.exec(self.blending.mapToGlobal(self.blending.rect().bottomLeft()))

    def blend_with(self, other: Groove) -> None:
        """Let the slider lead from the groove in the lane to another."""
        groove = self.desk.groove
        if groove is not None:
            self._blend = (groove, other)
            self.blend.set_value(0, f"to {other.name}")
            self.blend.show()

    def _set_blend(self, session: Session, value: float) -> Session:
        if self._blend is None:
            return session
        base, other = self._blend
        made = blended(base, other, value / 100) if value else base
        kept = tuple(
            replace(made, id=each.id, name=each.name) if each.id == base.id else each
            for each in session.grooves
        )
        return session if kept == session.grooves else replace(session, grooves=kept)

    # Showing

    def _offered(self) -> list[Groove]:
        """The person's own library, then what is shipped."""
        return [*(groove for _, groove in kept_grooves()), *shipped_grooves()]

    def _fill_grooves(self) -> None:
        self.groove.clear()
        session = self.desk.session
        for groove in session.grooves:
            self.groove.addItem(groove.name, groove)
        taken = {groove.name for groove in session.grooves}
        others = [groove for groove in self._offered() if groove.name not in taken]
        if session.grooves and others:
            self.groove.insertSeparator(self.groove.count())
        for groove in others:
            self.groove.addItem(groove.name, groove)
        self._show_groove(self.desk.view.recipe)

    def _others(self) -> list[Track]:
        """Tracks that this one can follow, the likeliest first: of a name that begins alike."""
        guide, session = self._guide, self.desk.session
        if guide is None:
            return []
        others = [track for track in session.tracks if session.guide_of(track.id) != guide.id]
        first = guide.name.split(" ")[0].casefold()
        return sorted(others, key=lambda track: not track.name.casefold().startswith(first))

    def _fill_takes(self) -> None:
        self.follows.clear()
        for track in self._others():
            self.follows.addItem(track.name, track.id)
        self._show_take(self.desk.view.recipe)

    def _show(self) -> None:
        guide, view = self._guide, self.desk.view
        self.setEnabled(guide is not None)
        if guide is None:
            return
        recipe = view.recipe
        self.whom.set_index(view.recipe_for)
        self._show_about(guide)
        to = TAKE if recipe.match is not None else GROOVE if self.desk.session.groove(recipe.groove) else GRID
        self.to.set_index(to)
        self._straight.setVisible(to == GRID)
        self._grooved.setVisible(to == GROOVE)
        self._matched.setVisible(to == TAKE)
        self.division.setCurrentIndex(index_in(DIVISIONS, recipe.grid.division))
        self.feel.setCurrentIndex(index_in(FEELS, recipe.grid.feel))
        self.swing.set_value(recipe.swing, self._swing_note(recipe))
        self.swing.setEnabled(recipe.grid.feel is Feel.STRAIGHT or recipe.swing_of is not SwingOf.GRID)
        self.strength.set_value(
            round(recipe.strength * 100, 2), f"×{recipe.rounds + 1}" if recipe.rounds else ""
        )
        self.alone.set_value(recipe.leave_alone)
        self.stroke.set_value(recipe.stroke)
        self.catch.set_value(round(recipe.catch * 100))
        self.timing.set_value(round(recipe.timing * 100))
        self.shift.set_value(recipe.shift)
        for slider in (self.loudness, self.even):
            slider.set_value(round(recipe.loudness * 100))
        self.pitch.set_value(guide.semitones)
        self.bears.set_value(guide.bears)
        self.swing_of.setCurrentIndex(SWINGS.index(recipe.swing_of))
        self.scales.setCurrentIndex(int(recipe.scales))
        self._show_groove(recipe)
        self._show_take(recipe)
        self._show_variants(guide)
        self._show_noises()
        self.way.set_index(WAYS.index(guide.move_by))
        heard = engine_of(MoveBy.STRETCHING, Keeps.HEARD, self._material)
        self.keeps.setItemText(0, f"as heard: {'drums' if heard is EngineName.DRUMS else 'chords and mixes'}")
        self.keeps.setCurrentIndex(list(KEEPS_WORDS).index(guide.keeps))
        self._keeping.setVisible(guide.move_by is MoveBy.STRETCHING)
        self._filling.setVisible(guide.move_by is MoveBy.CUTTING)
        self.fill.setCurrentIndex(list(Fill).index(guide.fill))
        self._soon.ask()

    def _show_about(self, guide: Track) -> None:
        """Whose recipe it is."""
        view, take, track = self.desk.view, self._take, self.desk.view.focused
        is_own = take is not None and take.tighten is not None
        self.own.setText("The track’s recipe for this clip" if is_own else SHORT["own-recipe"])
        words = "of this clip" if is_own else "live · nothing is committed"
        if view.recipe_for is For.SPAN and view.span is not None:
            names = (position_words(beat, self.desk.session.metre) for beat in view.span)
            words = "for {} to {}".format(*(name.removesuffix(".1").removesuffix(".1") for name in names))
        elif view.recipe_for is For.CHOSEN:
            words = f"for {len(view.picked)} hits"
        elif track is not None and track.id != guide.id:
            words = f"led by {guide.name}"
        self.about.setText(words)

    def _show_groove(self, recipe: TightenSettings) -> None:
        groove = self.desk.session.groove(recipe.groove)
        names = [self.groove.itemText(at) for at in range(self.groove.count())]
        self.groove.setCurrentIndex(-1 if groove is None else index_in(names, groove.name))
        if self._blend is not None and (self.desk.groove is None or self.desk.groove.id != self._blend[0].id):
            self._blend = None
            self.blend.hide()

    def _show_take(self, recipe: TightenSettings) -> None:
        match = recipe.match
        if match is not None:
            self.follows.setCurrentIndex(self.follows.findData(match.track))
            self.within.set_value(match.within)
            self.alones.set_index(ALONES.index(match.alone))

    def _show_variants(self, guide: Track) -> None:
        names = [each.name for each in guide.variants]
        shown = [self.variant.itemData(at) for at in range(1, self.variant.count())]
        if shown != names or not self.variant.count():
            self.variant.clear()
            self.variant.addItem("none kept" if not names else "none of them", "")
            for name in names:
                self.variant.addItem(name, name)
        current = self._tighten.variant
        self.variant.setCurrentIndex(names.index(current) + 1 if current in names else 0)

    def _show_noises(self) -> None:
        """Those of the take that are not heard, by their places."""
        shown, session = self.desk.guiding, self.desk.session
        hushes = () if shown is None else shown.take.hushes
        middles = [(each.start + each.end) // 2 for each in hushes]
        if [
            self.noises.itemData(at) for at in range(1, self.noises.count())
        ] == middles and self.noises.count():
            return
        self.noises.clear()
        self.noises.addItem(f"{len(hushes)} not heard" if hushes else "none taken away", None)
        for each, middle in zip(hushes, middles, strict=True):
            beat = 0.0 if shown is None else session.beat_of(shown.frame_shown(middle))
            self.noises.addItem(f"{position_words(beat, session.metre)}  {each.by}", middle)

    def _swing_note(self, recipe: TightenSettings) -> str:
        """By how much the second line of a pair is moved."""
        grid = recipe.grid
        if recipe.swing_of is not SwingOf.GRID:
            grid = Grid(8 if recipe.swing_of is SwingOf.EIGHTHS else 16)
        beats = 2 * grid.step * (recipe.swing / 100 - 0.5)
        milliseconds = beats * 60000 / self.desk.session.tempo.beats_per_minute
        if not milliseconds or grid.feel is not Feel.STRAIGHT:
            return ""
        decimals = 0 if milliseconds >= 10 else 1
        return f"{signed(milliseconds, decimals)} ms on off-{grid.division}ths"

    def _show_checks(self) -> None:
        guide = self._guide
        checks = NOTHING if guide is None else self.desk.checks(guide, self._take)
        checks = checks.of_kind(self.desk.view.check_kind)
        more = f", {len(checks) - MOST_CHECKS} more: N" if len(checks) > MOST_CHECKS else ""
        self.to_check.setText(f"To check: {len(checks)}{more}" if checks else "Nothing to check")
        if [row.check for row in self._check_rows] == list(checks[:MOST_CHECKS]):
            self._show_selection()
            return
        for row in self._check_rows:
            row.hide()
            self._checks.removeWidget(row)
            row.deleteLater()
        self._check_rows = [CheckRow(self.desk, self._commands, check) for check in checks[:MOST_CHECKS]]
        for row in self._check_rows:
            self._checks.addWidget(row)
        self._show_selection()

    def _show_selection(self) -> None:
        for row in self._check_rows:
            row.update()
        guide = self._guide
        check = None if guide is None else self.desk.checks(guide, self._take).of(self.desk.view.selected)
        words = ("Earlier line", "Leave", "Later line")
        if check is not None and check.earlier is None:
            ways = [mend.words for mend in check.mends]
            words = (ways[0] if ways else "", "Accept", ways[-1] if len(ways) > 1 else "")
        for button, each in zip(self.decisions, words, strict=True):
            button.setText(each)
            button.setEnabled(check is not None and bool(each))
            button.setVisible(len(self._check_rows) > 0 and bool(each))
