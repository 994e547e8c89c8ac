"""What the actions do, beyond opening and saving: to the session, the view and the player."""

from collections.abc import Callable, Sequence

import numpy as np

from chronotome.render.mix import Side
from chronotome.session.check import NOTHING, Check, Checks, Choice
from chronotome.session.edits.tightening import move_hit, reset_hits, set_own_recipe
from chronotome.session.edits.timing import set_click, set_loop, set_looping, whole_bars
from chronotome.session.edits.tracks import (
    add_track,
    lock,
    move_track,
    remove_track,
    set_flipped,
    set_level,
    set_muted,
    set_own_moving,
    set_size,
    set_solo,
    unlock,
)
from chronotome.session.model import Session, Take, Track, TrackSize, replace
from chronotome.session.onsets import OnsetId
from chronotome.ui.commands.bouncing import BounceCommands
from chronotome.ui.commands.clips import ClipCommands
from chronotome.ui.commands.fit import FitCommands
from chronotome.ui.commands.grooves import GrooveCommands
from chronotome.ui.commands.handing import HandCommands
from chronotome.ui.commands.hits import HitCommands
from chronotome.ui.commands.kits import KitCommands
from chronotome.ui.commands.loops import LoopCommands
from chronotome.ui.commands.marks import MarkCommands
from chronotome.ui.commands.moving import MovingCommands
from chronotome.ui.commands.noises import NoiseCommands
from chronotome.ui.commands.patterns import PatternCommands
from chronotome.ui.commands.playing import PlayingCommands
from chronotome.ui.commands.proving import ProofCommands
from chronotome.ui.commands.rework import ReworkCommands
from chronotome.ui.commands.sections import SectionCommands
from chronotome.ui.commands.slices import SliceCommands
from chronotome.ui.commands.song import SongCommands
from chronotome.ui.commands.tightening import TightenCommands
from chronotome.ui.state.shown import Shown, shown_of
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr

LEVEL_STEP = 1.0


class Commands:
    """One method for each thing that a key or a menu can do; `marks`, `fit`, `sections` have theirs."""

    playing: PlayingCommands

    def __init__(self, desk: UiContext, first: "Commands | None" = None) -> None:
        """`first`: those of the first window, where this is another on the same session."""
        self._desk = desk
        self.marks = MarkCommands(desk)
        self.fit = FitCommands(desk)
        self.song = SongCommands(desk)
        self.sections = SectionCommands(desk)
        self.loops = LoopCommands(desk)
        self.clips = ClipCommands(desk)
        self.bouncing = BounceCommands(desk, self.clips)
        self.tighten = TightenCommands(desk, follows_ruler=first is None)
        self.moving = MovingCommands(desk)
        self.grooves = GrooveCommands(desk, self.tighten)
        self.hits = HitCommands(desk, self.tighten, self.grooves)
        self.noises = NoiseCommands(desk, self.tighten)
        self.slices = SliceCommands(desk)
        self.kits = KitCommands(desk)
        self.patterns = PatternCommands(desk, self.kits)
        self.playing = PlayingCommands(desk, self.patterns) if first is None else first.playing
        self.handing = HandCommands(desk, self.patterns)
        self.proof = ProofCommands(desk)
        self.rework = ReworkCommands(desk, self.clips, self.slices, self.patterns, self.marks, self.hits)

    # What is meant

    @property
    def _shown(self) -> Shown | None:
        view = self._desk.view
        track, side = view.chosen.focused, self._desk.transport.side
        return None if track is None else shown_of(self._desk.session, track, side, view.chosen.clip)

    def _with_track(self, do: Callable[[Track], None]) -> None:
        track = self._desk.view.chosen.focused
        if track is not None:
            do(track)

    def _guide(self) -> Shown | None:
        return self._desk.guiding

    # Hits

    def _go(self, onset: OnsetId, frame: float) -> None:
        self._desk.view.chosen.select(onset)
        self._desk.view.sight.center_on(frame)
        if not self._desk.transport.is_playing:
            self._desk.transport.go_to(frame)

    def read_again(self) -> None:
        """Recordings whose reading was cancelled."""
        for content in list(self._desk.recordings.stopped):
            self._desk.recordings.read_again(content)

    def next_check(self) -> None:
        """Go to the next place to check, round again after the last; of marks, of bars, of joins."""
        if self._desk.view.stage is Stage.MARK:
            self.marks.next_check()
            return
        if self._desk.view.stage is Stage.FIT:
            self.fit.next_check()
            return
        if self._desk.view.stage is Stage.EXPORT:
            self.proof.next_click()
            return
        shown = self._guide()
        takes = () if shown is None else shown.track.takes
        doubtful = [take for take in takes if len(self._checks(shown.track, take))] if shown else []
        if shown is None or not doubtful:
            self._desk.say(tr("Nothing to check"))
            return
        checks = self._checks(shown.track, shown.take)
        selected = np.flatnonzero(checks.onsets == self._desk.view.chosen.onset)
        following = int(selected[-1]) + 1 if len(selected) else 0
        if following < len(checks):
            self.go_to_check(checks[following])
        else:
            self._go_to_take(shown, doubtful)

    def _checks(self, track: Track, take: Take) -> Checks:
        """Those of the kind that is gone through."""
        return self._desk.checks(track, take).of_kind(self._desk.view.check_kind)

    def _go_to_take(self, shown: Shown, doubtful: Sequence[Take]) -> None:
        """The first place of the next take of the track that has one; round again after the last."""
        order = {id(take): place for place, take in enumerate(shown.track.takes)}
        here = order[id(shown.take)]
        take = next((each for each in doubtful if order[id(each)] > here), doubtful[0])
        clip = next(each for each in shown.track.clips if each.take is take)
        if take is not shown.take:
            self._desk.view.chosen.choose_clips(((shown.track.id, clip.id),))
        self.go_to_check(self._checks(shown.track, take)[0])

    def go_to_check(self, check: Check) -> None:
        shown = self._guide()
        if shown is not None:
            self._go(check.onset, float(shown.heard_of_played(np.array([check.played]))[0]))

    def decide(self, choice: Choice) -> None:
        """Say where a hit between two lines belongs, and go to the next place."""
        shown = self._guide()
        checks = NOTHING if shown is None else self._desk.checks(shown.track, shown.take)
        check = checks.of(self._desk.view.chosen.onset)
        if shown is None or check is None or check.earlier is None or check.later is None:
            self._decide_otherwise(choice, check)
            return
        at = int(np.flatnonzero(shown.targets.onsets == check.onset)[0])
        as_played = self._desk.session.tempo.beat_of(float(shown.targets.fitted[at]) / shown.rate)
        beat = {Choice.EARLIER: check.earlier, Choice.LATER: check.later, Choice.LEAVE: as_played}[choice]
        self._desk.store.apply(
            lambda session: move_hit(session, shown.track.id, shown.clip.id, check.onset, beat),
            tr("Hit: {0}", choice.label),
        )
        self._next_after(check.played)

    def _decide_otherwise(self, choice: Choice, check: Check | None) -> None:
        """Not between two lines: its mends, or accepted; of no such place, the hit to another line."""
        if check is not None and choice is Choice.LEAVE:
            self.hits.accept()
        elif check is not None and check.mends:
            self.hits.mend(0 if choice is Choice.EARLIER else len(check.mends) - 1)
        elif choice is not Choice.LEAVE:
            self.hits.to_line(-1 if choice is Choice.EARLIER else 1)
            return
        if check is not None:
            self._next_after(check.played - 1)

    def _next_after(self, played: int) -> None:
        """Go to the first place to check after a moment, round again after the last."""
        shown = self._guide()
        checks = NOTHING if shown is None else self._checks(shown.track, shown.take)
        if checks:
            self.go_to_check(checks[int(np.searchsorted(checks.played, played, side="right")) % len(checks)])

    def toggle_own_recipe(self) -> None:
        """Tighten the chosen clip by a recipe of its own, or by its track's again."""
        shown = self._guide()
        if shown is None:
            return
        is_own, track, take = shown.take.tighten is None, shown.track, shown.take
        label = tr("Use own settings") if is_own else tr("Use settings of track")
        self._desk.store.apply(lambda session: set_own_recipe(session, track.id, take, is_own=is_own), label)
        whose = tr("its own settings") if is_own else tr("the settings of its track")
        self._desk.say(tr("{0} now uses {1}", shown.clip.name or track.name, whose))

    @property
    def has_own_recipe(self) -> bool:
        shown = self._guide()
        return shown is not None and shown.take.tighten is not None

    def toggle_own_moving(self) -> None:
        """Move the chosen clip in a way of its own, at another pitch too; or in its track's again."""
        shown = self._guide()
        if shown is None:
            return
        is_own, track, take = shown.take.moving is None, shown.track, shown.take
        label = tr("Own method") if is_own else tr("Use method of track")
        self._desk.store.apply(lambda session: set_own_moving(session, track.id, take, is_own=is_own), label)
        whose = tr("with its own method") if is_own else tr("with the method of its track")
        self._desk.say(tr("{0} is now moved {1}", shown.clip.name or track.name, whose))

    @property
    def has_own_moving(self) -> bool:
        shown = self._guide()
        return shown is not None and shown.take.moving is not None

    def reset_hits(self) -> None:
        shown = self._guide()
        if shown is not None:
            self._desk.store.apply(lambda session: reset_hits(session, shown.track.id), tr("Reset all hits"))

    def find_hits(self) -> None:
        shown = self._shown
        if shown is not None:
            self._desk.analyses.find_again(shown.recording.content)

    # Tracks

    def mute(self) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: set_muted(session, track.id, not track.is_muted), tr("Mute track")
            )
        )

    def solo(self) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: set_solo(session, track.id, not track.is_solo), tr("Solo track")
            )
        )

    def level(self, direction: int) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: set_level(session, track.id, track.level + direction * LEVEL_STEP),
                tr("Set level"),
            )
        )

    def flip(self) -> None:
        """The other way up, or as it was recorded."""
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: set_flipped(session, track.id, not track.is_flipped), tr("Invert polarity")
            )
        )

    def is_flipped(self) -> bool:
        track = self._desk.view.chosen.focused
        return track is not None and track.is_flipped

    def add_track(self) -> None:
        self._desk.store.apply(
            lambda session: add_track(session, tr("Track {0}", len(session.tracks) + 1)), tr("Add track")
        )
        self._desk.view.chosen.focus(self._desk.session.tracks[-1].id)

    def move_track(self, step: int) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: move_track(session, track.id, step), tr("Move track")
            )
        )

    def resize(self, step: int) -> None:
        """The focused track's lane, as it stands among the others."""
        sizes, track = list(TrackSize), self._desk.view.chosen.focused
        if track is not None:
            place = min(max(0, sizes.index(track.size) + step), len(sizes) - 1)
            size, own = sizes[place], track.id
            self._desk.store.apply(lambda session: set_size(session, own, size), tr("Track height"))
            self._desk.say(tr("Lane height of {0}: {1}", track.name, size))

    def fold_others(self) -> None:
        """All tracks but the focused one; unfolded where all of them are folded."""
        focused, session = self._desk.view.chosen.focused, self._desk.session
        others = [each for each in session.tracks if focused is None or each.id != focused.id]
        is_folded = all(each.size is TrackSize.FOLDED for each in others)
        size = TrackSize.USUAL if is_folded else TrackSize.FOLDED

        def edit(session: Session) -> Session:
            for each in others:
                session = set_size(session, each.id, size)
            return session

        self._desk.store.apply(edit, tr("Unfold tracks") if is_folded else tr("Fold tracks"))

    def remove_track(self) -> None:
        self._with_track(
            lambda track: self._desk.store.apply(
                lambda session: remove_track(session, track.id), tr("Remove {0}", track.name)
            )
        )

    def lock_with_next(self) -> None:
        """Lock the focused track's group with the track below; of a new group, the focused one is guide."""
        track, session = self._desk.view.chosen.focused, self._desk.session
        if track is None:
            return
        group = session.group_of(track.id)
        inside = group.tracks if group is not None else (track.id,)
        ids = [each.id for each in session.tracks]
        after = ids[ids.index(track.id) + 1 :] + ids
        below = next((each for each in after if each not in inside), None)
        if below is None:
            self._desk.say(tr("Locking needs a second track"))
            return
        guide = group.guide if group is not None else track.id
        self._desk.store.apply(lambda each: lock(each, guide, [*inside, below]), tr("Lock tracks"))

    def lock_all(self) -> None:
        """Lock every track to the focused one, as their guide."""
        track, session = self._desk.view.chosen.focused, self._desk.session
        if track is not None and len(session.tracks) > 1:
            others = [each.id for each in session.tracks if each.id != track.id]
            self._desk.store.apply(lambda each: lock(each, track.id, others), tr("Lock all tracks"))

    def make_guide(self) -> None:
        """The focused track becomes the guide of its lock group."""
        track, session = self._desk.view.chosen.focused, self._desk.session
        group = None if track is None else session.group_of(track.id)
        if track is None or group is None:
            self._desk.say(tr("Lock this track to others first"))
            return
        self._desk.store.apply(lambda each: lock(each, track.id, group.tracks), tr("Set as guide"))

    def unlock(self) -> None:
        track = self._desk.view.chosen.focused
        if track is not None:
            self._desk.store.apply(lambda each: unlock(each, track.id), tr("Unlock track"))

    # Playback

    def loop(self) -> None:
        session = self._desk.session
        if session.loop is None and not session.tracks:
            return
        if session.loop is None:
            start, end = whole_bars(session)
            self._desk.store.apply(lambda each: set_loop(each, start, end), tr("Loop all"))
            return
        words = tr("Loop off") if session.is_looping else tr("Loop")
        self._desk.store.apply(lambda each: set_looping(each, not session.is_looping), words)

    def click(self) -> None:
        click = self._desk.session.click
        words = tr("Metronome off") if click.is_on else tr("Metronome on")
        self._desk.store.apply(
            lambda session: set_click(session, replace(click, is_on=not click.is_on)), words
        )

    def listen(self) -> None:
        transport = self._desk.transport
        transport.listen(Side.EDITED if transport.side is Side.AS_PLAYED else Side.AS_PLAYED)
