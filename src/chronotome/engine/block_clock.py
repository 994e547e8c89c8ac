"""When blocks sound: a device calls in bursts, and what it says of each block is off by its own period."""

BELIEVED = (-0.1, 2.0)
"""Seconds from now at which a block may be said to sound: the last of a burst a little ago, none for days."""
FOLLOWED = 0.02
"""Share of what a block is off by that the next ones make up for: a delay-locked loop."""
ANEW_SECONDS = 0.1
"""Off by so much, the device has gone on without us, and the line begins anew."""
FORGOTTEN = 0.005
"""Seconds a second by which a latency that was needed once grows less again."""


class BlockClock:
    """A line through the moments of blocks, which follow each other without a gap.

    `latency` is the longest that lately lay between a call and its sound: what is to sound evenly waits as
    long. Used by one thread; `latency` may be read by another.
    """

    def __init__(self, rate: int, latency: float, block: int) -> None:
        self._rate, self._line = rate, 0.0
        low, high = BELIEVED
        self.latency = latency if max(low, 0.0) < latency < high else 2 * block / rate
        self._usual = self.latency

    def sounds_at(self, now: float, ahead: float, frames: int) -> float:
        """The moment of the monotonic clock at which a block sounds that the device says is so far ahead."""
        low, high = BELIEVED
        if low < ahead < high:
            self.latency = max(ahead, self.latency - FORGOTTEN * frames / self._rate)
        else:
            ahead = self._usual
        return self._along(now + ahead, frames)

    def came_at(self, now: float, ago: float, frames: int) -> float:
        """The moment at which the first frame of a block came in that the device says is so long ago."""
        low, high = BELIEVED
        return self._along(now - (ago if low < ago < high else frames / self._rate), frames)

    def _along(self, moment: float, frames: int) -> float:
        """Where the line has a block that is said to be at a moment."""
        off = moment - self._line
        self._line += FOLLOWED * off if abs(off) < ANEW_SECONDS else off
        due = self._line
        self._line += frames / self._rate
        return due
