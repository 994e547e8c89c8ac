"""What the actions of Mark do: step, hear, set by ear, nudge, lock, cut, loop."""

from collections.abc import Callable, Sequence

import numpy as np

from chronotome.render.mix import Side
from chronotome.render.pool import Source
from chronotome.session.anchors import extent_of
from chronotome.session.edits.clips import crop, split_at
from chronotome.session.edits.marks import (
    add_onset,
    correct_onsets,
    drop_onsets,
    keep_onsets,
    lock_onsets,
    mark_grid,
    mark_parts,
    marks_as_found,
)
from chronotome.session.edits.timing import set_loop
from chronotome.session.model import Session
from chronotome.session.onsets import OnsetId
from chronotome.ui.state.figures import counted as counted_words
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import MarkSnap
from chronotome.units import gain_of
from chronotome.words import tr

EAR_REACH = 0.060
"""Seconds within which a mark set by ear is pulled to an attack."""
CROSSING_REACH = 0.005
LONGEST_HIT = 4.0
SCRUB_STEP, SCRUB_LENGTH = 0.020, 0.080
JOIN_SECONDS = 1.5


class MarkCommands:
    """One method for each thing that a key or a menu can do to marks."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    @property
    def shown(self) -> Shown | None:
        return self._desk.shown

    def _source(self, shown: Shown) -> Source | None:
        source = self._desk.recordings.pool.get(shown.recording.content)
        return source if source is not None and source.is_whole else None

    def _apply(self, edit: Callable[[Session], Session], words: str) -> None:
        self._desk.store.apply(edit, words)

    def _picked(self, what: str) -> tuple[Shown, tuple[OnsetId, ...]] | None:
        """The clip and the selected onsets, or a sentence that there are none."""
        shown, picked = self.shown, self._desk.view.chosen.onsets
        if shown is None or not picked:
            self._desk.say(tr("Select an onset to {0}: click it, or press ← or →", what))
            return None
        return shown, picked

    # Stepping and selecting

    def step(self, step: int, *, is_extending: bool = False) -> None:
        """Select the next or previous onset that counts; from nothing, the one at the playhead."""
        shown, view = self.shown, self._desk.view
        if shown is None:
            return
        places = np.flatnonzero(shown.counts)
        if not len(places):
            return
        onsets = shown.recording.onsets
        at = None if view.chosen.onset is None else onsets.place_of(view.chosen.onset)
        if at is None:
            frame = shown.recording_frame(self._desk.transport.position)
            later = int(np.searchsorted(onsets.frame_array[places], frame))
            number = min(len(places) - 1, later if step > 0 else max(0, later - 1))
        else:
            number = int(np.searchsorted(places, at + 1 if step > 0 else at))
            number = int(np.clip(number if step > 0 else number - 1, 0, len(places) - 1))
        onset = onsets.ids[int(places[number])]
        if is_extending and view.chosen.onsets:
            self.extend_to(onset)
        else:
            view.chosen.select(onset)
        self._show(shown, onset)

    def extend_to(self, onset: OnsetId) -> None:
        """Select everything that counts from the first selected one to this one."""
        shown, view = self.shown, self._desk.view
        if shown is None:
            return
        onsets = shown.recording.onsets
        ends = (*view.chosen.onsets[:1], onset)
        places = [place for place in map(onsets.place_of, ends) if place is not None]
        if len(places) < 2:
            view.chosen.select(onset)
            return
        inside = [
            onsets.ids[place]
            for place in range(min(places), max(places) + 1)
            if shown.counts[place] or place in places
        ]
        first = view.chosen.onsets[0]
        view.chosen.pick((first, *(each for each in inside if each != first)), onset)

    def sweep(self, start: float, end: float) -> None:
        """Select what counts between two session frames on screen."""
        shown = self.shown
        if shown is None:
            return
        frames = shown.onset_frames()
        low, high = min(start, end), max(start, end)
        inside = np.flatnonzero(shown.counts & (frames >= low) & (frames <= high))
        ids = tuple(shown.recording.onsets.id_array[inside].tolist())
        self._desk.view.chosen.pick(ids, ids[-1] if ids else None)
        if ids:
            self._desk.say(tr("{0} selected. Press Delete to delete them.", counted_words(len(ids), "onset")))

    def _show(self, shown: Shown, onset: OnsetId) -> None:
        place = shown.recording.onsets.place_of(onset)
        if place is None:
            return
        frame = shown.frame_shown(shown.recording.onsets.frames[place])
        self._desk.view.sight.center_on(frame)
        if not self._desk.transport.is_playing:
            self._desk.transport.go_to(frame)

    def next_check(self) -> None:
        """Go to the next mark to check, round again after the last."""
        shown = self.shown
        checks = [] if shown is None else self._desk.mark_checks(shown.track, shown.take)
        if shown is None or not checks:
            self._desk.say(tr("Nothing to check"))
            return
        frames = [check.played for check in checks]
        at = next((n for n, check in enumerate(checks) if check.onset == self._desk.view.chosen.onset), None)
        if at is None:
            later = int(np.searchsorted(frames, self._desk.transport.position))
            at = later - 1
        check = checks[(at + 1) % len(checks)]
        self._desk.view.chosen.select(check.onset)
        self._show(shown, check.onset)
        self._desk.say(f"{check.title}, {check.figure}: {check.sentence}")

    # Hearing

    def hear(self, onset: OnsetId) -> None:
        """Let the hit sound, up to the next one that counts."""
        shown = self.shown
        source = None if shown is None else self._source(shown)
        place = None if shown is None else shown.recording.onsets.place_of(onset)
        if shown is None or source is None or place is None:
            return
        frames = shown.recording.onsets.frame_array
        later = np.flatnonzero(shown.counts[place + 1 :])
        end = int(frames[place + 1 + later[0]]) if len(later) else shown.clip.source_end
        ratio = source.rate / shown.recording.rate
        start = round(int(frames[place]) * ratio)
        end = min(round(end * ratio), start + round(LONGEST_HIT * source.rate))
        self._desk.transport.hear(source.region, start, end, gain_of(shown.track.level))

    def hear_selected(self) -> None:
        found = self._picked(tr("play it"))
        if found is not None and self._desk.view.chosen.onset is not None:
            self.hear(self._desk.view.chosen.onset)

    def scrub(self, direction: int) -> None:
        """Move the playhead a little, and hear what is there."""
        desk, shown = self._desk, self.shown
        desk.transport.go_to(desk.transport.position + direction * SCRUB_STEP * desk.session.rate)
        source = None if shown is None else self._source(shown)
        if shown is None or source is None:
            return
        frame = shown.recording_frame(desk.transport.position)
        start = round(frame * source.rate / shown.recording.rate)
        desk.transport.hear(
            source.region, start, start + round(SCRUB_LENGTH * source.rate), gain_of(shown.track.level)
        )

    def jump(self, bars: int) -> None:
        """Move the playhead by bars, to a bar's start."""
        session, transport = self._desk.session, self._desk.transport
        metre = session.metre
        here = metre.bar_at(session.beat_of(transport.position))
        near = np.floor(here + 1e-6) if bars > 0 else np.ceil(here - 1e-6)
        frame = session.frame_of(metre.beat_of(float(near + bars)))
        transport.go_to(min(max(0.0, frame), float(extent_of(session))))
        self._desk.view.sight.center_on(transport.position)

    # Setting

    def pulled(self, shown: Shown, frame: int, *, reach: float) -> int:
        """A frame of the recording, pulled to what marks snap to."""
        source, snap = self._source(shown), self._desk.view.mark_snap
        if source is None or snap is MarkSnap.NOTHING:
            return frame
        from chronotome.dsp.onsets.attack import nearest_attack, nearest_crossing  # noqa: PLC0415 - SciPy takes longer than the window to open

        ratio = source.rate / shown.recording.rate
        at = round(frame * ratio)
        if snap is MarkSnap.ATTACK:
            found = nearest_attack(source.region.samples, source.rate, at, reach)
        else:
            found = nearest_crossing(source.region.samples, at, round(CROSSING_REACH * source.rate))
        return frame if found is None else min(shown.recording.frames - 1, round(found / ratio))

    def add(self) -> None:
        """Mark a hit at the playhead; while it plays, where the hand meant it."""
        shown, transport = self.shown, self._desk.transport
        if shown is None:
            return
        position = transport.position
        if transport.is_playing:
            position = max(0.0, position - self._desk.preferences.reaction_seconds * self._desk.session.rate)
        frame = max(shown.clip.source_start, shown.recording_frame(position))
        if transport.is_playing:
            frame = self.pulled(shown, frame, reach=EAR_REACH)
        content = shown.recording.content
        words = tr("Add onset by ear") if transport.is_playing else tr("Add onset")
        before = shown.recording.onsets
        self._apply(lambda session: add_onset(session, content, frame), words)
        after = self._desk.session.recording_with(content).onsets
        if after is not before and frame in after.frames:
            self._desk.view.chosen.select(after.ids[after.frames.index(frame)])

    def drop(self) -> None:
        found = self._picked(tr("delete it"))
        if found is not None:
            content, picked = found[0].recording.content, found[1]
            words = tr("Delete onset") if len(picked) == 1 else tr("Delete {0} onsets", len(picked))
            self._apply(lambda session: drop_onsets(session, content, picked), words)

    def keep(self) -> None:
        found = self._picked(tr("keep it"))
        if found is not None:
            content, picked = found[0].recording.content, found[1]
            self._apply(lambda session: keep_onsets(session, content, picked), tr("Keep onset"))

    def lock(self) -> None:
        """Hold the selected onsets where they are; free them where all are held."""
        found = self._picked(tr("pin it"))
        if found is None:
            return
        shown, picked = found
        onsets = shown.recording.onsets
        places = [place for place in map(onsets.place_of, picked) if place is not None]
        is_locked = not all(onsets.lock_array[place] for place in places)
        words = tr("Pin onset") if is_locked else tr("Unpin onset")
        content = shown.recording.content
        self._apply(lambda session: lock_onsets(session, content, picked, is_locked=is_locked), words)

    def nudge(self, *, frames: int = 0, milliseconds: float = 0.0) -> None:
        """Move the selected marks; the sound stays."""
        found = self._picked(tr("nudge it"))
        if found is None:
            return
        shown, picked = found
        by = frames + round(milliseconds / 1000 * shown.recording.rate)
        track, clip = shown.track.id, shown.clip.id
        before = self._desk.session
        self._apply(lambda session: correct_onsets(session, track, clip, picked, by), tr("Nudge onset"))
        if self._desk.session is before:
            self._desk.say(tr("Cannot move the onset: it is pinned, or touches its neighbour"))

    def pull_to_attack(self) -> None:
        """Move each selected mark to the attack nearest to it."""
        found = self._picked(tr("snap it to its attack"))
        if found is None:
            return
        shown, picked = found
        source = self._source(shown)
        if source is None:
            return
        from chronotome.dsp.onsets.attack import nearest_attack  # noqa: PLC0415 - SciPy takes longer than the window to open

        ratio, onsets = source.rate / shown.recording.rate, shown.recording.onsets
        moves = []
        for onset in filter(lambda each: onsets.place_of(each) is not None, picked):
            frame = onsets.frame_of(onset)
            at = nearest_attack(source.region.samples, source.rate, round(frame * ratio), EAR_REACH / 2)
            if at is not None:
                moves.append((onset, round(at / ratio) - frame))
        track, clip = shown.track.id, shown.clip.id

        def edit(session: Session) -> Session:
            for onset, by in moves:
                session = correct_onsets(session, track, clip, [onset], by)
            return session

        self._apply(edit, tr("Snap onset to attack"))

    def as_found(self) -> None:
        """Forget what was added, dropped and kept by hand."""
        shown = self.shown
        if shown is not None:
            content = shown.recording.content
            self._apply(lambda session: marks_as_found(session, content), tr("Reset onsets"))

    def on_grid(self, step: float) -> None:
        """Marks on lines instead of on attacks, every `step` quarter notes; 0: every bar."""
        shown = self.shown
        if shown is not None:
            take = shown.take
            self._apply(lambda session: mark_grid(session, take, step), tr("Add onsets on grid"))

    def in_parts(self, parts: int) -> None:
        shown = self.shown
        if shown is not None:
            take = shown.take
            self._apply(
                lambda session: mark_parts(session, take, parts), tr("Add onsets at {0} equal parts", parts)
            )

    # Cutting and looping

    def _span(self, shown: Shown, picked: Sequence[OnsetId]) -> tuple[int, int]:
        """Frames of the recording from the first selected hit to the end of the last."""
        onsets = shown.recording.onsets
        places = sorted(place for place in map(onsets.place_of, picked) if place is not None)
        later = np.flatnonzero(shown.counts[places[-1] + 1 :])
        last = shown.clip.source_end
        if len(later):
            last = onsets.frames[places[-1] + 1 + int(later[0])]
        return onsets.frames[places[0]], min(last, shown.clip.source_end)

    def cut(self) -> None:
        """Cut the clip in two at the selected onset; locked tracks are cut with it."""
        found = self._picked(tr("split there"))
        if found is not None:
            shown, picked = found
            frame = self._span(shown, picked)[0]
            track, clip = shown.track.id, shown.clip.id
            self._apply(
                lambda session: split_at(session, track, clip, frame), tr("Split {0}", shown.track.name)
            )

    def keep_selection(self) -> None:
        """Keep only what is selected of the track."""
        found = self._picked(tr("trim to it"))
        if found is not None:
            shown, picked = found
            start, end = self._span(shown, picked)
            track, clip = shown.track.id, shown.clip.id
            self._apply(lambda session: crop(session, track, clip, start, end), tr("Trim to selection"))

    def loop_selection(self) -> bool:
        """Loop the range that was swept, or from the first selected hit to the end of the last."""
        span = self._desk.view.chosen.range
        if span is not None:
            session = self._desk.session
            first, last = session.beat_of(span.start), session.beat_of(span.end)
            self._apply(lambda each: set_loop(each, first, last), tr("Loop selection"))
            return True
        found = self._picked(tr("loop it"))
        if found is None:
            return False
        shown, picked = found
        session = self._desk.session
        start, end = (session.beat_of(shown.frame_shown(frame)) for frame in self._span(shown, picked))
        self._apply(lambda each: set_loop(each, start, end), tr("Loop selection"))
        return True

    def hear_join(self) -> None:
        """Play the end of the loop and its start: how it goes round."""
        session, transport = self._desk.session, self._desk.transport
        if len(self._desk.view.chosen.onsets) > 1 and not self.loop_selection():
            return
        session = self._desk.session
        if session.loop is None:
            self._desk.say(tr("To set a loop, select hits or drag over the ruler"))
            return
        if not session.is_looping:
            loop = session.loop
            self._apply(lambda each: set_loop(each, loop.start, loop.end), tr("Loop"))
        start, end = (session.tempo.seconds_of(beat) for beat in (session.loop.start, session.loop.end))
        transport.go_to(max(start, end - JOIN_SECONDS) * session.rate)
        if not transport.is_playing:
            transport.play()

    def slip_side(self) -> None:
        """Slipping is heard in what is edited only: listen to that."""
        if self._desk.transport.side is not Side.EDITED:
            self._desk.transport.listen(Side.EDITED)
            self._desk.say(tr("Slipping changes the edited sound, so playback switched to Edited"))
