"""What the actions of Tighten do: recipes and what they are for, variants, another take to follow."""

from collections.abc import Callable

from chronotome.session.edits.matching import forget_pairs, match_to, set_pair
from chronotome.session.edits.tightening import (
    clear_hits,
    clear_span,
    follow_ruler,
    keep_variant,
    once_more,
    remove_variant,
    set_recipe,
    use_variant,
)
from chronotome.session.grid import DIVISIONS, Feel
from chronotome.session.lines import SwingOf
from chronotome.session.model import Session, Take, Track, TrackId, replace
from chronotome.session.settings import MOST_SHIFT
from chronotome.ui.state.figures import grid_words
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import For
from chronotome.words import tr

STEPPED = {
    "strength": (0.0, 1.0, "strength"),
    "swing": (50.0, 75.0, "swing"),
    "leave_alone": (0.0, 100.0, tr("tolerance")),
    "timing": (0.0, 1.5, tr("groove timing")),
    "loudness": (0.0, 1.0, "loudness"),
    "stroke": (0.0, 100.0, "stroke"),
    "catch": (0.05, 1.0, tr("attraction")),
    "shift": (-MOST_SHIFT, MOST_SHIFT, tr("grid shift")),
}
"""Settings that keys move: between what, and what they are called."""


class TightenCommands:
    """The recipe that the tray shows."""

    def __init__(self, desk: UiContext, *, follows_ruler: bool) -> None:
        """`follows_ruler`: it is this view's zoom that recipes follow whose grid is what the ruler shows."""
        self._desk = desk
        if not follows_ruler:
            return
        desk.view.sight.rested.connect(self.follow_ruler)
        desk.view.snap_changed.connect(self.follow_ruler)
        desk.store.changed.connect(self.follow_ruler)

    def follow_ruler(self) -> None:
        """Recipes whose grid is what the ruler shows follow it: no step of undo, what is done is to zoom."""
        store = self._desk.store
        if not store.is_drafting:
            division = self._desk.view.grid.division
            store.amend(lambda session: follow_ruler(session, division))

    @property
    def leading(self) -> tuple[Track, Take | None] | None:
        return self._desk.view.leading

    def edit(self, change: Callable[[Session, TrackId, Take | None], Session], label: str) -> None:
        """Change the recipe that the tray shows."""
        self._desk.store.apply(self._desk.leading_edit(change), label)

    def show_for(self, what: For) -> None:
        view = self._desk.view
        if what is For.SPAN and view.span is None:
            self._desk.say(tr("Drag over the ruler first: the span gets its own settings"))
        elif what is For.CHOSEN and not view.chosen.onsets:
            self._desk.say(tr("Select hits first: click one, Shift+click more, or drag over several"))
        else:
            view.set_recipe_for(what)
            if what is not For.TRACK:
                words = tr("All settings below are for these alone now. “track” shows those of the rest.")
                self._desk.explain("own settings", words)

    def next_for(self) -> None:
        """The next thing that a recipe can be for: track, span, chosen hits."""
        view = self._desk.view
        able = [For.TRACK]
        able += [For.SPAN] if view.span is not None else []
        able += [For.CHOSEN] if view.chosen.onsets else []
        view.set_recipe_for(able[(able.index(view.recipe_for) + 1) % len(able)])

    def clear_own(self) -> None:
        """The span or the chosen hits have their track's recipe again."""
        view, leading = self._desk.view, self.leading
        if leading is None:
            return
        track, take = leading
        scope = view.scope
        if scope.hits and take is not None:
            hits = scope.hits
            self.edit(
                lambda session, each, its: session if its is None else clear_hits(session, each, its, hits),
                tr("Reset settings"),
            )
            return
        span = scope.span or self._span_here(track)
        if span is None:
            self._desk.say(tr("Nothing here has its own settings"))
            return
        self._desk.store.apply(
            lambda session: clear_span(session, track.id, *span), tr("Remove settings of span")
        )
        view.set_recipe_for(For.TRACK)

    def _span_here(self, track: Track) -> tuple[float, float] | None:
        beat = self._desk.session.beat_of(self._desk.transport.position)
        return next(((each.start, each.end) for each in track.spans if each.start <= beat < each.end), None)

    def step(self, name: str, by: float) -> None:
        """One setting of the recipe a step up or down, by key."""
        low, high, words = STEPPED[name]
        value = min(high, max(low, round(getattr(self._desk.view.recipe, name) + by, 4)))
        self.set(tr("Set {0}", words), **{name: value})
        shown = f"{value * 100:.0f} %" if high <= 1.5 else f"{value:.0f}"
        self._desk.say(f"{words.capitalize()} {shown}")

    def step_grid(self, by: int) -> None:
        """A finer grid, or a coarser one."""
        grid = self._desk.view.recipe.grid
        known = [each for each in DIVISIONS if (each > grid.division if by > 0 else each < grid.division)]
        if known:
            new = replace(grid, division=known[0] if by > 0 else known[-1])
            self.set(tr("Set grid"), grid=new, follows_ruler=False)
            self._desk.say(tr("Grid: {0}", grid_words(new)))

    def set(self, label: str, **values: object) -> None:
        scope = self._desk.view.scope
        self.edit(lambda session, track, take: set_recipe(session, track, take, scope, **values), label)

    @property
    def played_swing(self) -> tuple[float, SwingOf] | None:
        """The swing that Fit hears in the take that leads; None where it is straight."""
        shown = self._desk.guiding
        measured = None if shown is None else self._desk.session.recording_of(shown.take).measured
        heard = None if measured is None else measured.played_swing
        return None if heard is None else (heard[0], SwingOf.EIGHTHS if heard[1] == 8 else SwingOf.SIXTEENTHS)

    def swing_as_played(self) -> None:
        """The lines swing as the take does: hits are drawn to them, left alone and checked by them."""
        swing = self.played_swing
        if swing is None:
            self._desk.say(tr("No swing detected: the pairs are even"))
            return
        self.set(tr("Set swing"), swing=swing[0], swing_of=swing[1])
        self._desk.say(tr("Swing as played: {0:.0f} % of {1}", swing[0], tr(swing[1])))

    def as_ruler(self) -> None:
        """The grid is what the ruler shows, and follows the zoom."""
        grid = replace(self._desk.view.recipe.grid, division=self._desk.view.grid.division)
        self.set(tr("Set grid"), grid=grid, follows_ruler=True)
        self._desk.say(tr("Grid from ruler: {0}", grid_words(grid)))

    def next_feel(self) -> None:
        grid, feels = self._desk.view.recipe.grid, list(Feel)
        new = replace(grid, feel=feels[(feels.index(grid.feel) + 1) % len(feels)])
        self.set(tr("Set grid"), grid=new)
        self._desk.say(tr("Grid: {0}", grid_words(new)))

    def next_swing_of(self) -> None:
        kinds = list(SwingOf)
        new = kinds[(kinds.index(self._desk.view.recipe.swing_of) + 1) % len(kinds)]
        self.set(tr("Set swing"), swing_of=new)
        self._desk.say(tr("Swing unit: {0}", tr("grid steps") if new is SwingOf.GRID else new.label))

    def toggle_scales(self) -> None:
        """The groove in ms, or as a share of a step."""
        scales = not self._desk.view.recipe.scales
        self.set(tr("Set groove"), scales=scales)
        self._desk.say(
            tr("Groove offsets: same share of a step")
            if scales
            else tr("Groove offsets: same ms at any tempo")
        )

    def more(self, by: int) -> None:
        scope = self._desk.view.scope
        words = tr("Tighten again") if by > 0 else tr("Tighten less")
        self.edit(lambda session, track, take: once_more(session, track, take, scope, by), words)
        rounds = self._desk.view.recipe.rounds
        pull = self._desk.view.recipe.pull
        self._desk.say(tr("{0:.0%} of the distance, in {1} passes", pull, rounds + 1).replace("%", " %"))

    def ask_variant(self) -> None:
        """Keep the recipe under a name."""
        leading = self.leading
        if leading is None:
            return
        track = leading[0]
        number = len(track.variants) + 1
        said = self._desk.ask.text(
            tr("Snapshot"),
            tr("Snapshot name:"),
            tr("Snapshot {0}", number),
        )
        if said is not None and said.strip():
            self.keep_variant(said.strip())

    def keep_variant(self, name: str) -> None:
        self.edit(lambda session, track, _take: keep_variant(session, track, name), tr("Save snapshot"))
        words = tr("A snapshot keeps all Tighten settings. Save another, then compare: Shift+V")
        if not self._desk.explain("snapshot", words):
            self._desk.say(tr("Saved snapshot “{0}”. Shift+V switches between snapshots.", name))

    def use_variant(self, name: str) -> None:
        self.edit(lambda session, track, _take: use_variant(session, track, name), tr("Snapshot {0}", name))

    def remove_variant(self, name: str) -> None:
        self.edit(lambda session, track, _take: remove_variant(session, track, name), tr("Remove snapshot"))

    @property
    def variant(self) -> str | None:
        """The variant that the track is tightened by, where it is one."""
        leading = self.leading
        if leading is None:
            return None
        track = leading[0]
        same = (each for each in track.variants if (each.recipe, each.spans) == (track.tighten, track.spans))
        return next((each.name for each in same), None)

    def next_variant(self) -> None:
        """Go round the variants, while it plays too."""
        leading = self.leading
        names = [each.name for each in leading[0].variants] if leading is not None else []
        if not names:
            self._desk.say(tr("No snapshot yet. Press V to save the settings of this track."))
            return
        current = self.variant
        at = (names.index(current) + 1) % len(names) if current in names else 0
        self.use_variant(names[at])
        self._desk.say(tr("Snapshot “{0}”", names[at]))

    def match(self, other: TrackId | None) -> None:
        scope = self._desk.view.scope
        self.edit(
            lambda session, track, take: match_to(session, track, take, other, scope), tr("Match to take")
        )

    def break_pair(self) -> None:
        """The selected hit has no partner."""
        selected = self._desk.view.chosen.onset
        if selected is None or self._desk.view.recipe.match is None:
            self._desk.say(tr("Select a paired hit first"))
            return
        self.pair(selected, None)

    def pair(self, onset: int, other: int | None) -> None:
        scope = self._desk.view.scope
        words = tr("Unpair hits") if other is None else tr("Pair hits")
        self.edit(lambda session, track, take: set_pair(session, track, take, onset, other, scope), words)

    def forget_pairs(self) -> None:
        scope, picked = self._desk.view.scope, self._desk.view.chosen.onsets
        self.edit(
            lambda session, track, take: forget_pairs(session, track, take, picked, scope),
            tr("Reset pairs"),
        )
