"""What the actions do, beyond opening and saving: to the session, the view and the player."""

import statistics
import time
from collections.abc import Callable

import numpy as np

from chronotome.render.mix import Side
from chronotome.session.checks import Check, checks_of
from chronotome.session.edits.tightening import move_hit, reset_hit, reset_hits
from chronotome.session.edits.timing import set_beat_one, set_click, set_looping, set_tempo
from chronotome.session.edits.tracks import lock, remove_track, set_level, set_muted, set_solo, unlock
from chronotome.session.model import Track, replace
from chronotome.session.onsets import OnsetId
from chronotome.ui.desk import Desk
from chronotome.ui.mark_commands import MarkCommands
from chronotome.ui.timeline.shown import Shown, shown_of
from chronotome.ui.view_state import Stage

LONGEST_TAP_GAP = 2.0
TAPS = 8
OUTLIER_SHARE = 0.25
NUDGE_MILLISECONDS = 1.0
LEVEL_STEP = 1.0


class Commands:
    """One method for each thing that a key or a menu can do; `marks` has those of Mark."""

    def __init__(self, desk: Desk) -> None:
        self._desk = desk
        self.marks = MarkCommands(desk)
        self._taps: list[float] = []

    # What is meant

    @property
    def _shown(self) -> Shown | None:
        track = self._desk.view.focused
        return None if track is None else shown_of(self._desk.session, track, self._desk.transport.side)

    def _with_track(self, do: Callable[[Track], None]) -> None:
        track = self._desk.view.focused
        if track is not None:
            do(track)

    def _guide(self) -> Shown | None:
        """The clip whose hits are moved: the focused track's, or its guide's."""
        track, session = self._desk.view.focused, self._desk.session
        if track is None:
            return None
        return shown_of(session, session.track(session.guide_of(track.id)), self._desk.transport.side)

    # Timing

    def tap(self) -> None:
        """Tempo from the median of the last taps, far-off ones left out."""
        now = time.monotonic()
        if self._taps and now - self._taps[-1] > LONGEST_TAP_GAP:
            self._taps.clear()
        self._taps = [*self._taps, now][-TAPS:]
        gaps = np.diff(self._taps)
        if len(gaps) < 3:
            self._desk.workspace.told.emit(f"Tap {4 - len(self._taps)} more for a tempo")
            return
        middle = statistics.median(gaps)
        kept = gaps[np.abs(gaps - middle) <= OUTLIER_SHARE * middle]
        tempo = round(60 / float(np.mean(kept)), 2)
        unsure = 60 / np.mean(kept) ** 2 * np.std(kept) / np.sqrt(len(kept))
        self._desk.store.apply(lambda session: set_tempo(session, tempo), "Tap tempo")
        self._desk.workspace.told.emit(f"{tempo:.2f} bpm ± {unsure:.2f} from {len(kept) + 1} taps")

    def beat_one(self) -> None:
        """Beat one at the selected onset, or at the one nearest to the playhead."""
        shown = self._shown
        if shown is None:
            return
        played = shown.targets.played
        onset = self._desk.view.selected
        at = np.flatnonzero(shown.targets.onsets == onset) if onset is not None else np.zeros(0, int)
        if len(at):
            frame = float(played[at[0]])
        elif len(played):
            frame = float(played[np.abs(shown.hits - self._desk.transport.position).argmin()])
        else:
            frame = self._desk.transport.position
        seconds = frame / self._desk.session.rate
        self._desk.store.apply(lambda session: set_beat_one(session, seconds), "Set beat one")

    def use_measured(self) -> None:
        """Take the tempo and the beat one that were measured in the focused recording."""
        shown = self._shown
        measured = None if shown is None else shown.recording.measured
        if shown is None or measured is None:
            return
        start = shown.clip.start / self._desk.session.rate
        self._desk.store.apply(
            lambda session: set_beat_one(
                set_tempo(session, measured.beats_per_minute), start + measured.beat_one
            ),
            "Use measured tempo",
        )

    def scale_tempo(self, factor: float) -> None:
        tempo = self._desk.session.tempo.beats_per_minute * factor
        words = "Double tempo" if factor > 1 else "Halve tempo"
        self._desk.store.apply(lambda session: set_tempo(session, tempo), words)

    # Hits

    def _go(self, onset: OnsetId, frame: float) -> None:
        self._desk.view.select(onset)
        self._desk.view.center_on(frame)
        if not self._desk.transport.is_playing:
            self._desk.transport.go_to(frame)

    def next_check(self) -> None:
        """Go to the next place to check, round again after the last; in Mark, of the marks."""
        if self._desk.view.stage is Stage.MARK:
            self.marks.next_check()
            return
        shown = self._guide()
        checks = () if shown is None else checks_of(self._desk.session, shown.track)
        if shown is None or not checks:
            self._desk.workspace.told.emit("Nothing to check here")
            return
        selected = [number for number, check in enumerate(checks) if check.onset == self._desk.view.selected]
        self.go_to_check(checks[(selected[0] + 1) % len(checks) if selected else 0])

    def go_to_check(self, check: Check) -> None:
        shown = self._guide()
        if shown is not None:
            self._go(check.onset, float(shown.heard_of_played(np.array([check.played]))[0]))

    def nudge(self, direction: int) -> None:
        """Move the selected hit by a millisecond, by hand."""
        shown = self._guide()
        selected = self._desk.view.selected
        at = np.flatnonzero(shown.targets.onsets == selected) if shown is not None else np.zeros(0, int)
        if shown is None or not len(at):
            return
        tempo, rate = self._desk.session.tempo, self._desk.session.rate
        seconds = float(shown.targets.target[at[0]]) / rate + direction * NUDGE_MILLISECONDS / 1000
        beat, onset = tempo.beat_of(seconds), int(shown.targets.onsets[at[0]])
        self._desk.store.apply(
            lambda session: move_hit(session, shown.track.id, shown.clip.id, onset, beat), "Nudge hit"
        )

    def reset_hit(self) -> None:
        shown, onset = self._guide(), self._desk.view.selected
        if shown is not None and onset is not None:
            self._desk.store.apply(
                lambda session: reset_hit(session, shown.track.id, shown.clip.id, onset), "Reset hit"
            )

    def reset_hits(self) -> None:
        shown = self._guide()
        if shown is not None:
            self._desk.store.apply(lambda session: reset_hits(session, shown.track.id), "Reset all hits")

    def find_hits(self) -> None:
        shown = self._shown
        if shown is not None:
            self._desk.workspace.find_hits_again(shown.recording.content)

    # Tracks

    def mute(self) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: set_muted(session, track.id, not track.is_muted), "Mute track"
            )
        )

    def solo(self) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: set_solo(session, track.id, not track.is_solo), "Solo track"
            )
        )

    def level(self, direction: int) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: set_level(session, track.id, track.level + direction * LEVEL_STEP),
                "Set level",
            )
        )

    def remove_track(self) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: remove_track(session, track.id), f"Remove {track.name}"
            )
        )

    def lock_with_next(self) -> None:
        """Lock the focused track, as guide, with the track below it; or unlock it."""
        track, session = self._desk.view.focused, self._desk.session
        if track is None:
            return
        if session.group_of(track.id) is not None:
            self._desk.store.apply(lambda each: unlock(each, track.id), "Unlock track")
            return
        ids = [each.id for each in session.tracks]
        below = ids[(ids.index(track.id) + 1) % len(ids)]
        if below != track.id:
            self._desk.store.apply(lambda each: lock(each, track.id, [below]), "Lock tracks")

    # Playback

    def loop(self) -> None:
        session = self._desk.session
        if session.loop is None:
            self._desk.workspace.told.emit("Drag over the ruler to say what is looped")
            return
        words = "End loop" if session.is_looping else "Loop"
        self._desk.store.apply(lambda each: set_looping(each, not session.is_looping), words)

    def click(self) -> None:
        click = self._desk.session.click
        words = "Click off" if click.is_on else "Click on"
        self._desk.store.apply(
            lambda session: set_click(session, replace(click, is_on=not click.is_on)), words
        )

    def listen(self) -> None:
        transport = self._desk.transport
        transport.listen(Side.EDITED if transport.side is Side.AS_PLAYED else Side.AS_PLAYED)
