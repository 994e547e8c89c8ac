"""In time with other programs: start, stop and place are shared with all on a JACK server."""

import threading
from typing import Any, NamedTuple

from chronotome.engine.beat_table import BeatTable

TICKS_PER_BEAT = 1920.0
AWAITED_CYCLES = 32
"""So long it may take until the others are where we asked them to be."""
NEAR_CYCLES = 8
"""A place that is no farther off than that is the one we asked for."""
AHEAD_CYCLES = 2
"""A place that is asked for now is there in two cycles."""


class Now(NamedTuple):
    """How the mixer is: its position, frames of a count-in that still come, and its loop."""

    position: int
    is_playing: bool
    waiting: int
    loop: tuple[int, int]


class TransportAnswer(NamedTuple):
    """What a cycle asks for: of the mixer to be at a place, or to stop; of the others to be at one."""

    be_at: int | None = None
    is_stop: bool = False
    locate: int | None = None
    is_start: bool = False


NOTHING = TransportAnswer()


class Follower:
    """What the others' place says about ours, cycle by cycle: jumps are followed, not places.

    Invariant: while it rolls, our position less theirs is constant between two jumps. Theirs is in frames of
    the session here. They know no loop: each round they are asked to be where we are.
    """

    def __init__(self) -> None:
        self._expected: int | None = None
        self._was_rolling = False
        self._doubted = 0
        self._asked: tuple[int, int] | None = None
        """Where they were asked to be, and how many cycles may pass until they are."""

    def ask(self, position: int) -> None:
        """They are asked to be at a place, by us."""
        self._asked = position, AWAITED_CYCLES

    def cycle(self, place: int, now: Now, frames: int, *, is_rolling: bool) -> TransportAnswer:
        """What is to be done in this cycle, of so many frames of the session, that begins at `place`."""
        before = self._expected
        has_jumped = before is not None and abs(place - before) > 1  # of another rate: a rounded one
        if before is not None and has_jumped and is_rolling and self._is_doubtful(place - before, frames):
            place, has_jumped = before, False
        self._expected = place + frames if is_rolling else place
        was_rolling, self._was_rolling = self._was_rolling, is_rolling
        is_ours = self._is_ours(place, frames) if has_jumped else False
        if not is_rolling:
            if was_rolling and now.is_playing and not now.waiting:
                return TransportAnswer(is_stop=True)
            return self._stand(place, now, is_new=has_jumped or before is None, frames=frames)
        if not now.is_playing:
            return TransportAnswer(be_at=place)
        if now.waiting or (not was_rolling and abs(place - now.position) <= NEAR_CYCLES * frames):
            return NOTHING  # we began to count, and they come with us
        if not was_rolling or (has_jumped and not is_ours):
            return TransportAnswer(be_at=place)
        return self._round(now, frames)

    def _is_doubtful(self, off: int, frames: int) -> bool:
        """A short way off is believed the second time: a cycle that is late reads the next one's place."""
        before, self._doubted = self._doubted, off
        return self._asked is None and abs(off) <= NEAR_CYCLES * frames and abs(off - before) > 1

    def _stand(self, place: int, now: Now, *, is_new: bool, frames: int) -> TransportAnswer:
        if not now.is_playing:
            return TransportAnswer(be_at=place) if is_new and place != now.position else NOTHING
        if now.waiting <= AHEAD_CYCLES * frames and self._asked is None:  # the count ends
            self.ask(now.position)
            return TransportAnswer(locate=now.position, is_start=True)
        self._count_down()
        return NOTHING

    def _round(self, now: Now, frames: int) -> TransportAnswer:
        """Where our loop begins anew in two cycles, they are asked to be there."""
        start, end = now.loop
        then = now.position + AHEAD_CYCLES * frames
        self._count_down()
        if start >= end or now.position >= end or then < end or self._asked is not None:
            return NOTHING
        place = start + (then - end) % (end - start)
        self.ask(place)
        return TransportAnswer(locate=place)

    def _is_ours(self, place: int, frames: int) -> bool:
        """Whether they jumped to where we asked them to be."""
        if self._asked is None or abs(place - self._asked[0]) > NEAR_CYCLES * frames:
            return False
        self._asked = None
        return True

    def _count_down(self) -> None:
        if self._asked is not None:
            place, left = self._asked
            self._asked = (place, left - 1) if left > 1 else None


class JackTransport:
    """The transport of a client, and bars and tempo for those who follow."""

    def __init__(self, client: Any, jack: Any, asks: threading.RLock, rate: int, beats: BeatTable) -> None:
        self._client, self._jack, self._asks, self._beats = client, jack, asks, beats
        self._rate, self._theirs = rate, int(client.samplerate)
        self._follower = Follower()
        self.has_led = self.is_leading = False
        """The first: whether it was asked for."""

    def close(self) -> None:
        """Nobody is led any more."""
        if self.is_leading:
            with self._asks:
                self._client.release_timebase()
            self.is_leading = False

    def lead(self) -> None:
        """Tell bars and tempo, where no other program does."""
        self.has_led = True
        with self._asks:
            self.is_leading = bool(self._client.set_timebase_callback(self._tell, conditional=True))

    # In JACK's threads

    def cycle(self, frames: int, now: Now) -> tuple[TransportAnswer, bool]:
        """What the mixer is to do from this cycle on, and whether the others play."""
        state, place = self._client.transport_query_struct()
        ours = round(int(place.frame) * self._rate / self._theirs)
        span = round(frames * self._rate / self._theirs)
        is_rolling = state == self._jack.ROLLING
        answer = self._follower.cycle(ours, now, span, is_rolling=is_rolling)
        if answer.locate is not None:
            self._locate(answer.locate)
        if answer.is_start:
            self._client.transport_start()
        return answer, is_rolling

    def play(self, position: int) -> None:
        """All play from a session frame."""
        self._locate(position)
        self._client.transport_start()

    def stop(self) -> None:
        self._client.transport_stop()

    def seek(self, position: int) -> None:
        self._locate(position)

    def _locate(self, position: int) -> None:
        self._client.transport_locate(max(0, round(position * self._theirs / self._rate)))

    def _tell(self, _state: Any, _frames: int, position: Any, _is_new: bool) -> None:  # noqa: FBT001 - JACK's
        if not self._beats.is_there:
            position.valid = 0
            return
        here = self._beats.place_of(int(position.frame) * self._rate / self._theirs)
        position.valid = self._jack.POSITION_BBT
        position.bar, position.beat = here.bar, here.beat
        position.tick = int(here.share * TICKS_PER_BEAT)
        position.bar_start_tick = here.counted * TICKS_PER_BEAT
        position.beats_per_bar, position.beat_type = float(here.beats_in_bar), float(here.unit)
        position.ticks_per_beat = TICKS_PER_BEAT
        position.beats_per_minute = here.beats_per_minute * here.unit / 4
