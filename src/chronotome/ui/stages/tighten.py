"""The tray of Tighten: what the recipe is for, what hits are drawn to, how far; every setting live."""

from PySide6.QtWidgets import QHBoxLayout, QPushButton

from chronotome.session.grid import DIVISIONS, Feel, Grid
from chronotome.session.lines import SwingOf
from chronotome.session.metre import position_words
from chronotome.session.model import Take, Track, replace
from chronotome.session.settings import MOST_SHIFT, TightenSettings
from chronotome.session.strokes import USUAL_STROKE
from chronotome.ui.actions.actions import Actions
from chronotome.ui.actions.short import SHORT
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.segmented import Segmented, index_in
from chronotome.ui.stages.check_rows import CheckRows
from chronotome.ui.stages.folded_bar import FoldedBar
from chronotome.ui.stages.groove_rows import GrooveRows
from chronotome.ui.stages.moving_rows import MovingRows
from chronotome.ui.stages.pair_rows import PairRows
from chronotome.ui.stages.recipe_rows import recipe_slider
from chronotome.ui.stages.tray import Tray
from chronotome.ui.state.figures import percent, signed
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import For, Stage
from chronotome.words import tr

FEELS, SWINGS = tuple(Feel), tuple(SwingOf)
GRID, GROOVE, TAKE = range(3)
AS_RULER = tr("from ruler")
SWING_WORDS = {
    SwingOf.GRID: tr("grid steps"),
    SwingOf.EIGHTHS: tr("eighths"),
    SwingOf.SIXTEENTHS: tr("sixteenths"),
}


def _catch_words(percent: float) -> str:
    return tr("all") if percent >= 100 else tr("{0:.0f} %", percent)


def _shift_words(value: float) -> str:
    return tr("{0} ms", signed(value, 0))


class TightenTray(Tray):
    def __init__(self, desk: UiContext, actions: Actions, commands: Commands) -> None:
        super().__init__(desk, actions, Stage.TIGHTEN, "")
        self.about.setObjectName("scope")
        self._commands, self._tighten = commands, commands.tighten
        self.whom = Segmented(
            desk.view, tr("Scope of the settings"), [tr("track"), tr("span"), tr("selected")]
        )
        self.whom.chosen.connect(self._choose_for)
        self.row(tr("Apply to")).addWidget(self.whom, 1)
        self.to = Segmented(desk.view, tr("Target of the hits"), [tr("grid"), tr("groove"), tr("take")])
        self.to.chosen.connect(self._choose_to)
        self.row(tr("Target")).addWidget(self.to, 1)
        self._build_grid()
        self.folded_bar = FoldedBar(desk)
        self.folded_bar.chosen.connect(commands.hits.choose_step)
        self.add(self.folded_bar)
        self.strength = recipe_slider(
            self, "strength", tr("Strength"), 0, 100, percent, tr("Set strength"), unit=100
        )
        alone_words = tr("Set tolerance")
        self.alone = recipe_slider(
            self, "leave_alone", tr("Tolerance"), 0, 30, lambda value: tr("±{0:.0f} ms", value), alone_words
        )
        self.beside(self.strength, self.alone)
        self._build_straight()
        self.grooves = GrooveRows(desk, actions, commands.grooves)
        self.pairs = PairRows(desk, actions, commands.tighten)
        self.add(self.grooves)
        self.add(self.pairs)
        self.moving = MovingRows(desk, actions, commands.moving)
        self._build_rare()
        self._moving_rule = self.add_rule()
        self.add(self.moving)
        self.add_rule()
        self.checks = CheckRows(desk, actions, commands)
        self.add(self.checks)
        self.finish()
        view = desk.view
        for signal in (
            view.chosen.focus_changed,
            view.evidence_changed,
            view.scope_changed,
            view.groove_changed,
            view.kind_changed,
            view.chosen.changed,
            view.snap_changed,
        ):
            signal.connect(self._show)
        self.follow_session(self._show)
        self._show()

    # Building

    def _build_grid(self) -> None:
        row = self.row(tr("Grid"))
        self.division = Combo(tr("Grid"), [*(f"1/{division}" for division in DIVISIONS), AS_RULER])
        self.feel = Combo(tr("Grid type"), [tr(feel) for feel in FEELS])
        for combo, do in ((self.division, self._choose_division), (self.feel, self._choose_feel)):
            combo.activated.connect(do)
            row.addWidget(combo, 1)

    def _build_straight(self) -> None:
        with self.section() as self._straight:
            self.swing = recipe_slider(self, "swing", tr("Swing"), 50, 75, percent, tr("Set swing"), usual=50)
            both = QHBoxLayout()
            both.addWidget(self.swing, 1)
            self.as_played = QPushButton()
            self.table.attach(self.as_played, "swing-as-played")
            both.addWidget(self.as_played)
            self.rows.addLayout(both)

    def _build_rare(self) -> None:
        with self.folded(tr("More settings")) as self.fold:
            self.add_buttons("once-less", "once-more")
            self.shift = recipe_slider(
                self,
                "shift",
                tr("Grid shift"),
                -MOST_SHIFT,
                MOST_SHIFT,
                _shift_words,
                tr("Shift grid"),
                usual=0,
            )
            self.even = recipe_slider(
                self, "loudness", tr("Even loudness"), 0, 100, percent, tr("Even loudness"), unit=100
            )
            self.beside(self.shift, self.even)
            self.stroke = recipe_slider(
                self,
                "stroke",
                tr("Flam window"),
                0,
                100,
                lambda value: tr("{0:.0f} ms", value),
                tr("Set flam window"),
                usual=USUAL_STROKE,
            )
            self.catch = recipe_slider(
                self,
                "catch",
                tr("Attraction"),
                5,
                100,
                _catch_words,
                tr("Set attraction"),
                unit=100,
                step=5,
                usual=100,
            )
            self.beside(self.stroke, self.catch)
            self.beside(self.moving.pitch, self.moving.bears)
            self.add(self.moving.formants)
            self.swing_of = self.combo(tr("Swing unit"), list(SWING_WORDS.values()), self._choose_swing_of)
            self.scales = self.combo(
                tr("Groove offsets"),
                [tr("same ms at any tempo"), tr("same share of a step")],
                self._choose_scales,
            )
            self.variant = self.combo(tr("Snapshot"), [], self._choose_variant)
            self.add_buttons("keep-variant", "clear-own")
            self.own, self.own_moving = self.add_buttons("own-recipe", "own-moving")
            self.add_buttons("reset-hit", "reset-hits")
            self.add_buttons("silence", "room-noise", "noise-back")
            self.noises = self.combo(tr("Muted noises"), [], self._go_to_noise)

    # What is meant

    @property
    def _guide(self) -> Track | None:
        leading = self.desk.view.leading
        return None if leading is None else leading[0]

    @property
    def _take(self) -> Take | None:
        shown = self.desk.guiding
        return None if shown is None else shown.take

    # Choices

    def _choose_for(self, index: int) -> None:
        self._tighten.show_for(For(index))
        self.whom.set_index(self.desk.view.recipe_for)

    def _choose_to(self, index: int) -> None:
        view, recipe = self.desk.view, self.desk.view.recipe
        if index == TAKE:
            others = self.pairs.others
            if not others:
                self.desk.say(tr("Matching needs a second track"))
                self._show()
                return
            self._tighten.match(recipe.match.track if recipe.match is not None else others[0].id)
            view.show_evidence(Stage.TIGHTEN, "match")
            return
        groove = self.desk.session.groove(recipe.groove) if index == GROOVE else None
        if index == GROOVE and groove is None:
            groove = self.desk.groove or next(iter(self.desk.session.grooves), None)
            groove = groove or next(iter(self.grooves.offered), None)
        self._tighten.set(tr("Use grid as target"), match=None)
        self._commands.grooves.play(groove)
        view.show_evidence(Stage.TIGHTEN, "groove" if index == GROOVE else "drift")
        if groove is not None:
            view.show_groove(None)

    def _choose_division(self, index: int) -> None:
        grid = self.desk.view.recipe.grid
        follows = index >= len(DIVISIONS)
        division = self.desk.view.grid.division if follows else DIVISIONS[index]
        new = replace(grid, division=division)
        self._tighten.set(tr("Set grid"), grid=new, follows_ruler=follows)
        self._show()

    def _choose_feel(self, index: int) -> None:
        self._tighten.set(tr("Set grid"), grid=replace(self.desk.view.recipe.grid, feel=FEELS[index]))

    def _choose_swing_of(self, index: int) -> None:
        self._tighten.set(tr("Set swing"), swing_of=SWINGS[index])

    def _choose_scales(self, index: int) -> None:
        self._tighten.set(tr("Set groove"), scales=bool(index))

    def _choose_variant(self, index: int) -> None:
        name = self.variant.itemData(index)
        if name:
            self._tighten.use_variant(name)

    def _go_to_noise(self, index: int) -> None:
        """Put the playhead into a noise that is not heard: from there it can be heard again."""
        shown, frame = self.desk.guiding, self.noises.itemData(index)
        if shown is not None and frame is not None:
            self.desk.view.chosen.select(None)
            place = shown.frame_shown(frame)
            self.desk.transport.go_to(place)
            self.desk.view.sight.center_on(place)

    # Showing

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
        self.grooves.setVisible(to == GROOVE)
        self.pairs.setVisible(to == TAKE)
        self.division.setItemText(
            len(DIVISIONS), f"{AS_RULER}: 1/{recipe.grid.division}" if recipe.follows_ruler else AS_RULER
        )
        known = index_in(DIVISIONS, recipe.grid.division)
        self.division.setCurrentIndex(len(DIVISIONS) if recipe.follows_ruler else known)
        self.feel.setCurrentIndex(index_in(FEELS, recipe.grid.feel))
        self.swing.set_value(recipe.swing, self._swing_note(recipe))
        self.swing.setEnabled(recipe.grid.feel is Feel.STRAIGHT or recipe.swing_of is not SwingOf.GRID)
        swing = self._tighten.played_swing
        self.as_played.setVisible(swing is not None and swing != (recipe.swing, recipe.swing_of))
        self.as_played.setText("" if swing is None else tr("as played: {0:.0f} %", swing[0]))
        self.strength.set_value(
            round(recipe.strength * 100, 2), f"×{recipe.rounds + 1}" if recipe.rounds else ""
        )
        self.alone.set_value(recipe.leave_alone)
        self.stroke.set_value(recipe.stroke)
        self.catch.set_value(round(recipe.catch * 100))
        self.shift.set_value(recipe.shift)
        self.even.set_value(round(recipe.loudness * 100))
        self.swing_of.setCurrentIndex(SWINGS.index(recipe.swing_of))
        self.scales.setCurrentIndex(int(recipe.scales))
        self.grooves.show_of(recipe)
        self.pairs.show_of(recipe)
        self._show_variants(guide)
        self._show_noises()
        self.moving.show_of(guide, self._take)
        is_moved = self._take is None or self._take.playing is None
        self.moving.setVisible(is_moved)
        self._moving_rule.setVisible(is_moved)
        self.checks.ask()

    def _show_about(self, guide: Track) -> None:
        """Whose recipe it is."""
        view, take, track = self.desk.view, self._take, self.desk.view.chosen.focused
        is_own = take is not None and take.tighten is not None
        self.own.setText(tr("Use settings of track") if is_own else SHORT["own-recipe"])
        is_moved = take is not None and take.moving is not None
        self.own_moving.setText(tr("Use method of track") if is_moved else SHORT["own-moving"])
        words = tr("this clip only") if is_own else tr("for {0}", guide.name)
        if view.recipe_for is For.SPAN and view.span is not None:
            names = (position_words(beat, self.desk.session.metre) for beat in view.span)
            words = tr("from {} to {}").format(
                *(name.removesuffix(".1").removesuffix(".1") for name in names)
            )
        elif view.recipe_for is For.CHOSEN:
            words = tr("{0} selected hits", len(view.chosen.onsets))
        elif track is not None and track.id != guide.id:
            words = tr("guide: {0}", guide.name)
        self.about.say(words)

    def _show_variants(self, guide: Track) -> None:
        names = [each.name for each in guide.variants]
        shown = [self.variant.itemData(at) for at in range(1, self.variant.count())]
        if shown != names or not self.variant.count():
            self.variant.clear()
            self.variant.addItem(tr("no snapshot") if not names else tr("no snapshot selected"), "")
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
        self.noises.addItem(tr("{0} muted", len(hushes)) if hushes else tr("none"), None)
        for each, middle in zip(hushes, middles, strict=True):
            beat = 0.0 if shown is None else session.beat_of(shown.frame_shown(middle))
            self.noises.addItem(f"{position_words(beat, session.metre)}  {each.by}", middle)

    def _swing_note(self, recipe: TightenSettings) -> str:
        """By how much the second line of a pair is moved."""
        grid = recipe.grid
        if recipe.swing_of is not SwingOf.GRID:
            grid = Grid(8 if recipe.swing_of is SwingOf.EIGHTHS else 16)
        beats = 2 * grid.step * (recipe.swing / 100 - 0.5)
        session = self.desk.session
        here = session.beat_of(self.desk.transport.position)
        milliseconds = beats * 60000 / session.timebase.tempo_at(here)
        if not milliseconds or grid.feel is not Feel.STRAIGHT:
            return ""
        decimals = 0 if milliseconds >= 10 else 1
        return tr("{0} ms on off-{1}ths", signed(milliseconds, decimals), grid.division)
