"""What the actions of Tighten do: recipes and what they are for, hits by hand, variants, grooves, pairs."""

from collections.abc import Callable
from pathlib import Path

import numpy as np
from numpy.typing import NDArray
from PySide6.QtWidgets import QApplication, QFileDialog, QInputDialog

from chronotome.dsp.hush import EDGE_SECONDS, HushBy, quiet_place
from chronotome.errors import ChronotomeError
from chronotome.files.audio_file import SUFFIXES
from chronotome.files.grooves import SUFFIX, keep_groove, read_groove, write_groove
from chronotome.files.headless import groove_from
from chronotome.session.check import Check
from chronotome.session.checks import checks_of
from chronotome.session.edits.grooves import change_groove, groove_of, play_groove, remove_groove
from chronotome.session.edits.matching import forget_pairs, match_to, set_pair
from chronotome.session.edits.mending import accept, hush, hush_of, mended, unhush
from chronotome.session.edits.tightening import (
    clear_hits,
    clear_span,
    hold_neighbours,
    keep_variant,
    move_hits,
    once_more,
    remove_variant,
    reset_some,
    set_recipe,
    tie_here,
    use_variant,
)
from chronotome.session.grid import DIVISIONS
from chronotome.session.groove import (
    Groove,
    blended,
    mirrored,
    repeated,
    rotated,
    smoothed,
    with_step,
)
from chronotome.session.lines import lines_within
from chronotome.session.model import MOST_SHIFT, Session, Take, Track, TrackId, replace
from chronotome.ui.desk import Desk
from chronotome.ui.timeline.gestures import shared_room
from chronotome.ui.timeline.shown import Shown
from chronotome.ui.view_state import Evidence, For, Stage
from chronotome.units import at_other_rate

LATE_MILLISECONDS = 20.0
STEPPED = {
    "strength": (0.0, 1.0, "strength"),
    "swing": (50.0, 75.0, "swing"),
    "leave_alone": (0.0, 100.0, "leave-alone window"),
    "timing": (0.0, 1.5, "groove timing"),
    "loudness": (0.0, 1.0, "loudness"),
    "shift": (-MOST_SHIFT, MOST_SHIFT, "shift of the lines"),
}
"""Settings that keys move: between what, and what they are called."""


class TightenCommands:
    """One method for each thing that a key, a menu or the tray can do."""

    def __init__(self, desk: Desk) -> None:
        self._desk = desk

    # What is meant

    @property
    def leading(self) -> tuple[Track, Take | None] | None:
        return self._desk.view.leading

    @property
    def _guiding(self) -> Shown | None:
        return self._desk.guiding

    def edit(self, change: Callable[[Session, TrackId, Take | None], Session], label: str) -> None:
        """Change the recipe that the tray shows."""
        self._desk.store.apply(self._desk.leading_edit(change), label)

    def show_for(self, what: For) -> None:
        view = self._desk.view
        if what is For.SPAN and view.span is None:
            self._desk.say("Drag over the ruler first: that span gets a recipe of its own")
        elif what is For.CHOSEN and not view.picked:
            self._desk.say("Choose hits first: click them, Shift+click for more, or sweep over them")
        else:
            view.set_recipe_for(what)

    def show_lane(self, evidence: Evidence) -> None:
        """Drift, groove or match under the wave."""
        self._desk.view.show_stage(Stage.TIGHTEN)
        self._desk.view.show_evidence(evidence)

    def next_for(self) -> None:
        """The next thing that a recipe can be for: track, span, chosen hits."""
        view = self._desk.view
        able = [For.TRACK]
        able += [For.SPAN] if view.span is not None else []
        able += [For.CHOSEN] if view.picked else []
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
                "Usual recipe",
            )
            return
        span = scope.span or self._span_here(track)
        if span is None:
            self._desk.say("Nothing here has a recipe of its own")
            return
        self._desk.store.apply(lambda session: clear_span(session, track.id, *span), "Remove span’s recipe")
        view.set_recipe_for(For.TRACK)

    def _span_here(self, track: Track) -> tuple[float, float] | None:
        beat = self._desk.session.beat_of(self._desk.transport.position)
        return next(((each.start, each.end) for each in track.spans if each.start <= beat < each.end), None)

    def step(self, name: str, by: float) -> None:
        """One setting of the recipe a step up or down, by key."""
        low, high, words = STEPPED[name]
        value = min(high, max(low, round(getattr(self._desk.view.recipe, name) + by, 4)))
        scope = self._desk.view.scope
        self.edit(
            lambda session, track, take: set_recipe(session, track, take, scope, **{name: value}),
            f"Set {words}",
        )
        shown = f"{value * 100:.0f} %" if high <= 1.5 else f"{value:.0f}"
        self._desk.say(f"{words.capitalize()} {shown}")

    def step_grid(self, by: int) -> None:
        """A finer grid, or a coarser one."""
        grid, scope = self._desk.view.recipe.grid, self._desk.view.scope
        known = [each for each in DIVISIONS if (each > grid.division if by > 0 else each < grid.division)]
        if known:
            new = replace(grid, division=known[0] if by > 0 else known[-1])
            self.edit(
                lambda session, track, take: set_recipe(session, track, take, scope, grid=new), "Set grid"
            )
            self._desk.say(f"Grid {new.words}")

    def next_groove(self) -> None:
        """Go round the session's grooves and the straight grid, while it plays too."""
        every = [None, *self._desk.session.grooves]
        at = next((number for number, each in enumerate(every) if each is self.groove), 0)
        chosen = every[(at + 1) % len(every)]
        self.play(chosen)
        self._desk.say("The straight grid" if chosen is None else f"Groove “{chosen.name}”")

    # Once more, and variants

    def more(self, by: int) -> None:
        scope = self._desk.view.scope
        words = "Once more" if by > 0 else "Once less"
        self.edit(lambda session, track, take: once_more(session, track, take, scope, by), words)
        rounds = self._desk.view.recipe.rounds
        pull = self._desk.view.recipe.pull
        self._desk.say(f"{pull:.0%} of the way, drawn in {rounds + 1} times".replace("%", " %"))

    def ask_variant(self) -> None:
        """Keep the recipe under a name."""
        leading = self.leading
        if leading is None:
            return
        track = leading[0]
        number = len(track.variants) + 1
        said, is_sure = QInputDialog.getText(
            QApplication.activeWindow(), "Variant", "Name of the variant", text=f"Variant {number}"
        )
        if is_sure and said.strip():
            self.keep_variant(said.strip())

    def keep_variant(self, name: str) -> None:
        self.edit(lambda session, track, _take: keep_variant(session, track, name), "Keep variant")
        self._desk.say(f"“{name}” is kept: Shift+V goes from variant to variant")

    def use_variant(self, name: str) -> None:
        self.edit(lambda session, track, _take: use_variant(session, track, name), f"Variant {name}")

    def remove_variant(self, name: str) -> None:
        self.edit(lambda session, track, _take: remove_variant(session, track, name), "Remove variant")

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
            self._desk.say("No variant is kept yet: V keeps this recipe under a name")
            return
        current = self.variant
        at = (names.index(current) + 1) % len(names) if current in names else 0
        self.use_variant(names[at])
        self._desk.say(f"Variant “{names[at]}”")

    # Chosen hits

    def choose_hits(self, which: Callable[[Shown], NDArray[np.bool_]], words: str) -> None:
        shown = self._guiding
        if shown is None:
            return
        found = tuple(shown.targets.onsets[which(shown)].tolist())
        self._desk.view.pick(found, found[0] if found else None)
        self._desk.say(f"{len(found)} hits chosen: {words}")

    def choose_all(self) -> None:
        self.choose_hits(lambda shown: np.ones(len(shown.targets), bool), "all of them")

    def choose_late(self, sign: int) -> None:
        words = f"{'later' if sign > 0 else 'earlier'} than {LATE_MILLISECONDS:.0f} ms"
        self.choose_hits(lambda shown: sign * shown.targets.drift > LATE_MILLISECONDS, words)

    def choose_band(self) -> None:
        """All hits of the selected one's band."""
        shown, selected = self._guiding, self._desk.view.selected
        place = None if shown is None or selected is None else shown.recording.onsets.place_of(selected)
        if shown is None or place is None:
            self._desk.say("Choose a hit first: those of its band are chosen with it")
            return
        onsets = shown.recording.onsets
        band = onsets.bands[place]
        same = onsets.id_array[onsets.band_array == band]
        self.choose_hits(lambda each: np.isin(each.targets.onsets, same), ("low", "mid", "high")[band])

    def choose_step(self, step: float) -> None:
        """All hits at a place of the bar."""
        bar = self._desk.session.metre.bar

        def at_step(shown: Shown) -> NDArray[np.bool_]:
            away = np.mod(shown.targets.steps - step + bar / 2, bar) - bar / 2
            return np.asarray(np.abs(away) < 1e-6)

        self.choose_hits(at_step, "at this place of every bar")

    def add_or_drop(self, onset: int) -> None:
        """Shift+click: chosen with the others, or no longer."""
        view = self._desk.view
        kept = tuple(each for each in view.picked if each != onset)
        view.pick(kept if len(kept) < len(view.picked) else (*kept, onset), onset)

    def sweep(self, start: float, end: float) -> None:
        """Choose the hits that are heard between two session frames."""
        low, high = sorted((start, end))
        self.choose_hits(lambda shown: (shown.hits >= low) & (shown.hits < high), "swept over")

    def _chosen(self, shown: Shown) -> NDArray[np.int64]:
        """Places of the chosen hits among the targets."""
        return np.flatnonzero(np.isin(shown.targets.onsets, self._desk.view.picked))

    def nudge(self, milliseconds: float) -> None:
        """Move the chosen hits by hand; in the groove lane, the chosen step."""
        if self._desk.view.evidence is Evidence.GROOVE and self._desk.view.step is not None:
            self.nudge_step(self._desk.view.step, milliseconds)
            return
        shown = self._guiding
        if shown is not None:
            turned = 1 if shown.map.axis is None else -1
            frames = turned * milliseconds / 1000 * shown.rate
            self._move_by(shown, self._chosen(shown), frames, "Nudge hit")

    def _move_by(self, shown: Shown, at: NDArray[np.int64], frames: float, label: str) -> None:
        """All by the same, no farther than those beside them let them."""
        if not len(at):
            return
        low, high = shared_room(shown.targets, at)
        by = min(max(frames, low), high)
        session = self._desk.session
        beats = session.tempo.beats_at((shown.targets.target[at] + by) / shown.rate)
        moved = dict(zip(shown.targets.onsets[at].tolist(), beats.tolist(), strict=True))
        track, clip = shown.track.id, shown.clip.id
        self._desk.store.apply(lambda each: move_hits(each, track, clip, moved), label)

    def to_line(self, step: int) -> None:
        """The chosen hits to the line before or after the one they are at."""
        shown = self._guiding
        at = np.zeros(0, int) if shown is None else self._chosen(shown)
        if shown is None or not len(at):
            self._desk.say("Choose a hit: Q takes it to the earlier line, E to the later")
            return
        session, places = self._desk.session, shown.targets.target[at] / shown.rate
        beats = session.tempo.beats_at(places)
        bar = session.metre.bar
        reach = self._desk.view.rulings
        first, last = float(beats.min()) - bar, float(beats.max()) + bar
        lines = lines_within(first, last, reach, session.metre, session.tempo).beats
        side = np.searchsorted(lines, beats + step * 1e-4, "right" if step > 0 else "left")
        wanted = lines[np.clip(side if step > 0 else side - 1, 0, len(lines) - 1)]
        moved = dict(zip(shown.targets.onsets[at].tolist(), wanted.tolist(), strict=True))
        track, clip = shown.track.id, shown.clip.id
        words = "later" if step > 0 else "earlier"
        self._desk.store.apply(lambda each: move_hits(each, track, clip, moved), f"Hit to the {words} line")

    def toggle_holding(self) -> None:
        """Whether a hit that is moved leaves those beside it where they are."""
        view = self._desk.view
        view.holds_neighbours = not view.holds_neighbours
        words = "stay where they are" if view.holds_neighbours else "are worked out anew"
        self._desk.say(f"The hits beside one that is moved {words}")

    def hold(self) -> None:
        """Hold the hits beside the selected one."""
        shown, selected = self._guiding, self._desk.view.selected
        if shown is not None and selected is not None:
            track, clip = shown.track.id, shown.clip.id
            self._desk.store.apply(
                lambda session: hold_neighbours(session, track, clip, selected), "Hold neighbours"
            )

    def free(self) -> None:
        """Let the hits beside the selected one go again."""
        shown, selected = self._guiding, self._desk.view.selected
        at = np.zeros(0, int) if shown is None else np.flatnonzero(shown.targets.onsets == selected)
        if shown is not None and len(at):
            track, clip = shown.track.id, shown.clip.id
            beside = shown.targets.onsets[shown.targets.beside(int(at[0]))].tolist()
            self._desk.store.apply(
                lambda session: reset_some(session, track, clip, beside), "Free neighbours"
            )

    def tie_here(self) -> None:
        self.tie_at(self._desk.transport.position)

    def tie_at(self, frame: float) -> None:
        """A warp marker at a session frame, where nothing has to begin."""
        shown = self._guiding
        if shown is None:
            return
        place, track, clip = shown.recording_frame(frame), shown.track.id, shown.clip.id
        self._desk.store.apply(lambda session: tie_here(session, track, clip, place)[0], "Set warp marker")
        onsets = self._desk.session.recording_of(self._desk.session.track(track).clip(clip)).onsets
        if place in onsets.frames:
            self._desk.view.select(onsets.ids[onsets.frames.index(place)])

    def reset(self) -> None:
        """Take back what was set by hand for the chosen hits."""
        shown, picked = self._guiding, self._desk.view.picked
        if shown is not None and picked:
            track, clip = shown.track.id, shown.clip.id
            self._desk.store.apply(lambda session: reset_some(session, track, clip, picked), "Reset hit")

    # Places to check, and noises

    @property
    def check(self) -> Check | None:
        """What is doubtful about the selected hit, or the first of what is."""
        shown = self._guiding
        if shown is None:
            return None
        return checks_of(self._desk.session, shown.track, shown.take).of(self._desk.view.selected)

    def mend(self, number: int = 0) -> None:
        """Put the selected place right in one of the ways that are offered."""
        shown, check = self._guiding, self.check
        if shown is None or check is None or number >= len(check.mends):
            self._desk.say("Nothing to mend here: N goes to the next place to check")
            return
        track, clip, words = shown.track.id, shown.clip.id, check.mends[number].words
        self._desk.store.apply(
            lambda session: mended(session, track, clip, check, number), f"Mend: {words.lower()}"
        )

    def accept(self) -> None:
        """The selected place is as it should be."""
        shown, check = self._guiding, self.check
        if shown is None or check is None:
            self._desk.say("Nothing to accept here: N goes to the next place to check")
            return
        self.edit(
            lambda session, track, take: session if take is None else accept(session, track, take, check),
            "Accept as it is",
        )

    def hear_place(self) -> None:
        """Two beats around the selected hit."""
        shown, selected = self._guiding, self._desk.view.selected
        at = np.zeros(0, int) if shown is None else np.flatnonzero(shown.targets.onsets == selected)
        if shown is None or not len(at):
            self._desk.say("Choose a hit first: two beats around it are played")
            return
        session, transport = self._desk.session, self._desk.transport
        beat = session.beat_of(float(shown.landings[at[0]]))
        transport.play_between(
            max(0.0, session.frame_of(beat - session.metre.beat)), session.frame_of(beat + session.metre.beat)
        )

    def hush(self, by: HushBy) -> None:
        """Take the chosen hits away, or else what is in the span: silent, faded, softer, or room tone."""
        shown = self._guiding
        source = None if shown is None else self._desk.recordings.pool.get(shown.recording.content)
        if shown is None or source is None:
            return
        spans = self._spans_meant(shown)
        if not spans:
            self._desk.say("Choose hits, or drag over the ruler, to say what is not to be heard")
            return
        room = (0, 0)
        if by is HushBy.ROOM:
            found = np.array(quiet_place(source.region.samples, source.rate))
            room = tuple(at_other_rate(found, source.rate, shown.recording.rate).tolist())
        new = [hush_of(start, end, by, room=(room[0], room[1])) for start, end in spans]
        self.edit(
            lambda session, track, take: session if take is None else hush(session, track, take, new),
            f"Noise: {by}",
        )

    def _spans_meant(self, shown: Shown) -> list[tuple[int, int]]:
        """Frames of the recording: of each chosen hit up to the next, or of the span on the ruler."""
        onsets, recording = shown.recording.onsets, shown.recording
        early = round(1.2 * EDGE_SECONDS * recording.rate)
        if self._desk.view.picked:
            counted = onsets.frame_array[shown.counts]
            places = [
                onsets.frame_of(each) for each in self._desk.view.picked if onsets.place_of(each) is not None
            ]
            following = counted.searchsorted(places, "right")
            ends = [int(counted[at]) - early if at < len(counted) else recording.frames for at in following]
            pairs = [(max(0, place - early), end) for place, end in zip(places, ends, strict=True)]
        elif self._desk.view.span is not None:
            first, last = (self._desk.session.frame_of(beat) for beat in self._desk.view.span)
            pairs = [(shown.recording_frame(first), shown.recording_frame(last))]
        else:
            pairs = []
        return [(start, min(end, recording.frames)) for start, end in pairs if end > start]

    def unhush(self) -> None:
        """What was hushed at the chosen hits, in the span or at the playhead is heard again."""
        shown = self._guiding
        if shown is None:
            return
        here = shown.recording_frame(self._desk.transport.position)
        spans = self._spans_meant(shown) or [(here, here + 1)]

        def edit(session: Session, track: TrackId, take: Take | None) -> Session:
            for start, end in spans:
                take = session.track(track).clip(shown.clip.id).take
                session = unhush(session, track, take, start, end)
            return session

        self.edit(edit, "Noise back")

    # Grooves

    @property
    def groove(self) -> Groove | None:
        """The groove that the tray's recipe plays."""
        return self._desk.session.groove(self._desk.view.recipe.groove)

    def play(self, groove: Groove | None) -> None:
        """Tighten to a groove, or to the straight grid."""
        scope = self._desk.view.scope
        words = "Straight grid" if groove is None else f"Groove {groove.name}"
        self.edit(lambda session, track, take: play_groove(session, track, take, groove, scope), words)

    def take(self, bars: int = 1) -> None:
        """Take a groove from the focused track: from its chosen hits or its span where there are such."""
        track, clip, view = self._desk.view.focused, self._desk.view.clip, self._desk.view
        if track is None or clip is None:
            self._desk.say("There is no recording here to take a groove from")
            return
        scope, session = view.scope, self._desk.session
        found = groove_of(session, track, clip.take, view.recipe.grid, bars, scope.hits, scope.span)
        if not found.steps:
            self._desk.say("There are no hits to take a groove from")
            return
        self._bring(found, f"Take groove from {track.name}")
        sure = f", sure to ±{found.sure_to:.1f} ms" if found.sure_to else ""
        self._desk.say(f"“{found.name}”: {len(found.steps)} steps{sure}. Choose a track to play it")

    def _bring(self, groove: Groove, label: str) -> None:
        """A groove for the session, without a recipe that plays it yet."""

        def edit(session: Session) -> Session:
            new = replace(groove, id=session.next_id, name=_free_name(session, groove.name))
            return replace(session, grooves=(*session.grooves, new), next_id=session.next_id + 1)

        self._desk.store.apply(edit, label)
        self._desk.view.show_groove(self._desk.session.grooves[-1].id)
        self._desk.view.show_evidence(Evidence.GROOVE)

    def change(self, change: Callable[[Groove], Groove], label: str) -> None:
        """Change the groove in the lane."""
        groove = self._desk.groove
        if groove is None:
            self._desk.say("There is no groove yet: take one from a track, or choose one in the tray")
            return
        number = groove.id
        self._desk.store.apply(lambda session: change_groove(session, number, change), label)

    def smooth(self) -> None:
        self.change(smoothed, "Smooth groove")

    def mirror(self) -> None:
        self.change(mirrored, "Mirror groove")

    def rotate(self, by: int) -> None:
        self.change(lambda groove: rotated(groove, by), "Rotate groove")

    def repeat(self, bars: int) -> None:
        self.change(lambda groove: repeated(groove, bars), "Groove over more bars")

    def nudge_step(self, step: int, milliseconds: float) -> None:
        def later(groove: Groove) -> Groove:
            if step >= len(groove.steps):
                return groove
            return with_step(groove, step, offset_ms=groove.steps[step].offset_ms + milliseconds)

        self.change(later, "Move step of groove")

    def blend(self, other: Groove, share: float) -> None:
        """From the groove in the lane to another, as a new one."""
        groove = self._desk.groove
        if groove is not None:
            made = replace(blended(groove, other, share), name=f"{groove.name} · {other.name}")
            self._bring(made, "Blend grooves")

    def remove(self) -> None:
        groove = self._desk.groove
        if groove is not None:
            number = groove.id
            self._desk.store.apply(lambda session: remove_groove(session, number), "Remove groove")

    def keep(self) -> None:
        """In the person's library, for every session."""
        groove = self._desk.groove
        if groove is None:
            self._desk.say("There is no groove to keep yet")
            return
        path = keep_groove(groove)
        self._desk.view.library_changed.emit()
        self._desk.say(f"“{groove.name}” is kept in the library, as {path.name}")

    def ask_and_read(self) -> None:
        sounds = " ".join(f"*{each}" for each in SUFFIXES)
        said, _ = QFileDialog.getOpenFileName(
            QApplication.activeWindow(),
            "Groove",
            "",
            f"Grooves and recordings (*{SUFFIX} *.json *.mid *.midi {sounds})",
        )
        if said:
            self.read(Path(said))

    def read(self, path: Path) -> None:
        """A groove from a file, or that of a recording; what is wrong with it is said."""
        if path.suffix.lower() in SUFFIXES:
            grid = self._desk.view.recipe.grid
            self._desk.tasks.run(
                f"Taking the groove of {path.name}",
                lambda progress: groove_from(path, grid, 1, progress),
                lambda groove: self._bring(groove, f"Take groove of {path.name}"),
            )
            return
        try:
            groove = read_groove(path)
        except ChronotomeError as error:
            self._desk.tasks.error.emit(str(error))
            return
        self._bring(groove, f"Bring groove {groove.name}")

    def ask_and_write(self) -> None:
        groove = self._desk.groove
        if groove is None:
            self._desk.say("There is no groove to write yet")
            return
        said, _ = QFileDialog.getSaveFileName(
            QApplication.activeWindow(),
            "Write the groove",
            f"{groove.name}{SUFFIX}",
            f"Groove (*{SUFFIX});;MIDI (*.mid)",
        )
        if said:
            write_groove(Path(said), groove)
            self._desk.say(f"“{groove.name}” is written to {Path(said).name}")

    # Pairs

    def match(self, other: TrackId | None) -> None:
        scope = self._desk.view.scope
        self.edit(lambda session, track, take: match_to(session, track, take, other, scope), "Match a take")

    def break_pair(self) -> None:
        """The selected hit has no partner."""
        selected = self._desk.view.selected
        if selected is None or self._desk.view.recipe.match is None:
            self._desk.say("Choose a hit that is paired first")
            return
        self.pair(selected, None)

    def pair(self, onset: int, other: int | None) -> None:
        scope = self._desk.view.scope
        words = "Break pair" if other is None else "Pair hits"
        self.edit(lambda session, track, take: set_pair(session, track, take, onset, other, scope), words)

    def forget_pairs(self) -> None:
        scope, picked = self._desk.view.scope, self._desk.view.picked
        self.edit(
            lambda session, track, take: forget_pairs(session, track, take, picked, scope), "Pair as found"
        )


def _free_name(session: Session, name: str) -> str:
    taken = {each.name for each in session.grooves}
    number = 2
    free = name
    while free in taken:
        free = f"{name} {number}"
        number += 1
    return free
