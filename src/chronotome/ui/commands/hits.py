"""What the actions do to chosen hits, and to places to check."""

from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

from chronotome.session.check import Check
from chronotome.session.edits.fixes import accept, mended
from chronotome.session.edits.tightening import (
    hold_neighbours,
    move_hits,
    reset_some,
    tie_here,
)
from chronotome.session.lines import lines_within
from chronotome.session.targets import Reason, Targets
from chronotome.ui.commands.grooves import GrooveCommands
from chronotome.ui.commands.tightening import TightenCommands
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr

LATE_MILLISECONDS = 20.0


class HitCommands:
    """Hits chosen, moved by hand, held, put right."""

    def __init__(self, desk: UiContext, tighten: TightenCommands, grooves: GrooveCommands) -> None:
        self._desk = desk
        self._tighten = tighten
        self._grooves = grooves

    @property
    def _guiding(self) -> Shown | None:
        return self._desk.guiding

    def choose_hits(self, which: Callable[[Shown], NDArray[np.bool_]], words: str) -> None:
        shown = self._guiding
        if shown is None:
            return
        found = tuple(shown.targets.onsets[which(shown)].tolist())
        self._desk.view.chosen.pick(found, found[0] if found else None)
        self._desk.say(tr("{0} hits selected: {1}", len(found), words))

    def choose_all(self) -> None:
        self.choose_hits(lambda shown: np.ones(len(shown.targets), bool), tr("all"))

    def choose_late(self, sign: int) -> None:
        words = tr("{0} than {1:.0f} ms", tr("later") if sign > 0 else tr("earlier"), LATE_MILLISECONDS)
        self.choose_hits(lambda shown: sign * shown.targets.drift > LATE_MILLISECONDS, words)

    def choose_band(self) -> None:
        """All hits of the selected one's band."""
        shown, selected = self._guiding, self._desk.view.chosen.onset
        place = None if shown is None or selected is None else shown.recording.onsets.place_of(selected)
        if shown is None or place is None:
            self._desk.say(tr("Select a hit first: hits of the same band are added"))
            return
        onsets = shown.recording.onsets
        band = onsets.bands[place]
        same = onsets.id_array[onsets.band_array == band]
        self.choose_hits(
            lambda each: np.isin(each.targets.onsets, same), (tr("low"), tr("mid"), tr("high"))[band]
        )

    def choose_step(self, step: float) -> None:
        """All hits at a place of the bar."""
        metre = self._desk.session.metre

        def at_step(shown: Shown) -> NDArray[np.bool_]:
            return np.asarray(np.abs(metre.inside(shown.targets.steps)[1] - step) < 1e-6)

        self.choose_hits(at_step, tr("at this step in every bar"))

    def add_or_drop(self, onset: int) -> None:
        """Shift+click: chosen with the others, or no longer."""
        view = self._desk.view
        kept = tuple(each for each in view.chosen.onsets if each != onset)
        view.chosen.pick(kept if len(kept) < len(view.chosen.onsets) else (*kept, onset), onset)

    def sweep(self, start: float, end: float) -> None:
        """Choose the hits that are heard between two session frames."""
        low, high = sorted((start, end))
        self.choose_hits(lambda shown: (shown.hits >= low) & (shown.hits < high), tr("in the dragged range"))

    def _chosen(self, shown: Shown) -> NDArray[np.int64]:
        """Places of the chosen hits among the targets."""
        return np.flatnonzero(np.isin(shown.targets.onsets, self._desk.view.chosen.onsets))

    def nudge(self, milliseconds: float) -> None:
        """Move the chosen hits by hand; in the groove lane, the chosen step."""
        if self._desk.view.evidence.get(Stage.TIGHTEN) == "groove" and self._desk.view.step is not None:
            self._grooves.nudge_step(self._desk.view.step, milliseconds)
            return
        shown = self._guiding
        if shown is not None:
            turned = 1 if shown.map.axis is None else -1
            frames = turned * milliseconds / 1000 * shown.rate
            self._move_by(shown, self._chosen(shown), frames, tr("Nudge hit"))

    def _move_by(self, shown: Shown, at: NDArray[np.int64], frames: float, label: str) -> None:
        """All by the same, no farther than those beside them let them."""
        if not len(at):
            return
        low, high = shown.targets.shared_room(at)
        by = min(max(frames, low), high)
        session = self._desk.session
        beats = session.tempo.beats_at((shown.targets.target[at] + by) / shown.rate)
        moved = dict(zip(shown.targets.onsets[at].tolist(), beats.tolist(), strict=True))
        track, clip = shown.track.id, shown.clip.id
        self._desk.store.apply(lambda each: move_hits(each, track, clip, moved), label)

    def to_line(self, step: int, *, ripples: bool = False) -> None:
        """The chosen hits to the line before or after the one they are at.

        Where it ripples, all that come after them go a line on as well, as far from it as they are now; up to
        the first that was set by hand.
        """
        shown = self._guiding
        at = np.zeros(0, int) if shown is None else self._chosen(shown)
        if shown is None or not len(at):
            self._desk.say(tr("Select a hit. Q moves it to the earlier line, E to the later."))
            return
        targets, session = shown.targets, self._desk.session
        rest = self._after(targets, at) if ripples else at[:0]
        every = np.concatenate([at, rest])
        beats = session.tempo.beats_at(targets.target[every] / shown.rate)
        bar, reach = session.metre.longest_bar, self._desk.view.rulings
        first, last = float(beats.min()) - bar, float(beats.max()) + bar
        found = lines_within(first, last, reach, session.metre, session.tempo)
        lines = found.beats
        side = np.searchsorted(lines, beats + step * 1e-4, "right" if step > 0 else "left")
        wanted = lines[np.clip(side if step > 0 else side - 1, 0, len(lines) - 1)]
        nearest = found.nearest(beats[len(at) :])
        there = np.clip(nearest + step, 0, len(lines) - 1)
        wanted[len(at) :] = beats[len(at) :] + lines[there] - lines[nearest]
        moved = dict(zip(targets.onsets[every].tolist(), wanted.tolist(), strict=True))
        track, clip = shown.track.id, shown.clip.id
        words = tr(
            "{0} line{1}",
            tr("later") if step > 0 else tr("earlier"),
            tr(", ripple") if ripples else "",
        )
        self._desk.store.apply(lambda each: move_hits(each, track, clip, moved), tr("Move hit to {0}", words))

    @staticmethod
    def _after(targets: Targets, at: NDArray[np.int64]) -> NDArray[np.int64]:
        """The hits after the last of some, up to the first that was set by hand."""
        after = np.arange(int(at.max()) + 1, len(targets))
        by_hand = np.flatnonzero(targets.reasons[after] == Reason.BY_HAND)
        return after[: int(by_hand[0])] if len(by_hand) else after

    def toggle_holding(self) -> None:
        """Whether a hit that is moved leaves those beside it where they are."""
        view = self._desk.view
        view.holds_neighbours = not view.holds_neighbours
        words = tr("stay in place") if view.holds_neighbours else tr("are recalculated")
        self._desk.say(tr("Neighbours of a moved hit {0}", words))

    def hold(self) -> None:
        """Hold the hits beside the selected one."""
        shown, selected = self._guiding, self._desk.view.chosen.onset
        if shown is not None and selected is not None:
            track, clip = shown.track.id, shown.clip.id
            self._desk.store.apply(
                lambda session: hold_neighbours(session, track, clip, selected), tr("Hold neighbours")
            )

    def free(self) -> None:
        """Let the hits beside the selected one go again."""
        shown, selected = self._guiding, self._desk.view.chosen.onset
        at = np.zeros(0, int) if shown is None else np.flatnonzero(shown.targets.onsets == selected)
        if shown is not None and len(at):
            track, clip = shown.track.id, shown.clip.id
            beside = shown.targets.onsets[shown.targets.beside(int(at[0]))].tolist()
            self._desk.store.apply(
                lambda session: reset_some(session, track, clip, beside), tr("Release neighbours")
            )

    def tie_here(self) -> None:
        self.tie_at(self._desk.transport.position)

    def tie_at(self, frame: float) -> None:
        """A warp marker at a session frame, where nothing has to begin."""
        shown = self._guiding
        if shown is None:
            return
        place, track, clip = shown.recording_frame(frame), shown.track.id, shown.clip.id
        self._desk.store.apply(
            lambda session: tie_here(session, track, clip, place)[0], tr("Add warp marker")
        )
        onsets = self._desk.session.recording_of(self._desk.session.track(track).clip(clip)).onsets
        if place in onsets.frames:
            self._desk.view.chosen.select(onsets.ids[onsets.frames.index(place)])

    def reset(self) -> None:
        """Take back what was set by hand for the chosen hits."""
        shown, picked = self._guiding, self._desk.view.chosen.onsets
        if shown is not None and picked:
            track, clip = shown.track.id, shown.clip.id
            self._desk.store.apply(lambda session: reset_some(session, track, clip, picked), tr("Reset"))

    @property
    def check(self) -> Check | None:
        """What is doubtful about the selected hit, or the first of what is."""
        shown = self._guiding
        if shown is None:
            return None
        return self._desk.checks(shown.track, shown.take).of(self._desk.view.chosen.onset)

    def mend(self, number: int = 0) -> None:
        """Put the selected place right in one of the ways that are offered."""
        shown, check = self._guiding, self.check
        if shown is None or check is None or number >= len(check.mends):
            self._desk.say(tr("Nothing to fix here. Press N for the next place to check."))
            return
        track, clip, words = shown.track.id, shown.clip.id, check.mends[number].words
        self._desk.store.apply(
            lambda session: mended(session, track, clip, check, number), tr("Fix: {0}", words.lower())
        )

    def accept(self) -> None:
        """The selected place is as it should be."""
        shown, check = self._guiding, self.check
        if shown is None or check is None:
            self._desk.say(tr("Nothing to accept here. Press N for the next place to check."))
            return
        self._tighten.edit(
            lambda session, track, take: session if take is None else accept(session, track, take, check),
            tr("Accept place"),
        )

    def hear_place(self) -> None:
        """Two beats around the selected hit."""
        shown, selected = self._guiding, self._desk.view.chosen.onset
        at = np.zeros(0, int) if shown is None else np.flatnonzero(shown.targets.onsets == selected)
        if shown is None or not len(at):
            self._desk.say(tr("Select a hit first: the two beats around it are played"))
            return
        session, transport = self._desk.session, self._desk.transport
        beat = session.beat_of(float(shown.landings[at[0]]))
        step = session.metre.metre_at(beat).beat
        transport.play_between(max(0.0, session.frame_of(beat - step)), session.frame_of(beat + step))
