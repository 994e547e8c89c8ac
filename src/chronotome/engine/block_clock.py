"""When blocks sound: a device calls in bursts, and what it says of each block is off by its own period."""

BELIEVED = (-0.1, 2.0)
"""Seconds from now at which a block may be said to sound: the last of a burst a little ago, none for days."""
FOLLOWED = 0.02
"""Share of what a block is off by that the next ones make up for: a delay-locked loop."""
ANEW_SECONDS = 0.1
"""Off by so much, the device has gone on without us, and the line begins anew."""
FORGOTTEN = 0.005
"""Seconds a second by which a latency that was needed once grows less again."""
DOUBTED_SECONDS, DOUBTED_CALLS = 0.005, 8
"""A call so late is the machine's doing, unless so many are: then the device has gone on without us."""
LEAST_CALLS = 16
"""After so many it is known how even they are."""
WORD_SHARE = 0.0005
"""Of a word against the mean of all words before: they wander by 20 ms and more."""
EARLIER_SHARE, LATER_SHARE = 0.05, 0.0002
"""The same of an input: what came in with others at once is said to be later than it was, never earlier."""


class Line:
    """Blocks follow each other without a gap: a line through their moments, each of which is a little off."""

    def __init__(self, rate: int) -> None:
        self._rate, self._due = rate, 0.0
        self.is_anew = False
        """Whether the last moment was so far off that the line begins there."""
        self._mean, self._count = 0.0, 0

    def along(self, moment: float | None, frames: int) -> float:
        """Where the line has a block that is said to be at a moment, or of which nothing is said."""
        if moment is not None:
            off = moment - self._due
            self.is_anew = abs(off) >= ANEW_SECONDS
            if not self.is_anew:
                self._due += self.followed(off)
                self._count += 1
                self._mean += max(FOLLOWED, 1 / self._count) * (min(abs(off), DOUBTED_SECONDS) - self._mean)
            else:
                self._due = moment
        due = self._due
        self._due += frames / self._rate
        return due

    @property
    def uneven(self) -> float:
        """Seconds by which moments lately were off, in the mean; one of them counts for a little only."""
        return self._mean if self._count > LEAST_CALLS else DOUBTED_SECONDS

    def followed(self, off: float) -> float:
        """By how much the line follows a moment that is off."""
        return FOLLOWED * off


class CallLine(Line):
    """Through the calls that begin a burst: even where the device is, and late where the machine stalls."""

    def __init__(self, rate: int) -> None:
        super().__init__(rate)
        self._last, self._doubted = 0.0, 0

    def called(self, now: float, frames: int) -> float:
        """Where the line has the call for a block; one that follows another at once says nothing."""
        begins = now - self._last > frames / self._rate / 2
        self._last = now
        return self.along(now if begins else None, frames)

    def followed(self, off: float) -> float:
        """A share, and all of it where calls stay as late."""
        self._doubted = self._doubted + 1 if abs(off) > DOUBTED_SECONDS else 0
        if self._doubted <= DOUBTED_CALLS:
            return FOLLOWED * off
        self._doubted = 0
        return off


class BlockClock:
    """Says of each block when it sounds, by what is more even: the device's words, or its calls.

    PulseAudio's words are even and its calls are not; with PipeWire it is the other way round, by a hundred
    times. How long after its call a block sounds, only words can say: there the mean of all of them. How long
    before its call it came in: the earliest of them.

    `latency` is the longest that lately lay between a call and its sound: what is to sound evenly waits as
    long. Used by one thread; `latency` may be read by another.
    """

    def __init__(self, rate: int, latency: float, block: int) -> None:
        self._rate = rate
        low, high = BELIEVED
        self.latency = latency if max(low, 0.0) < latency < high else 2 * block / rate
        self._usual = self.latency
        self._words, self._calls = Line(rate), CallLine(rate)
        self._later = 0.0
        """From a call to its sound, in the mean of words."""
        self._is_by_calls = False

    def sounds_at(self, now: float, ahead: float, frames: int) -> float:
        """The moment of the monotonic clock at which a block sounds that the device says is so far ahead."""
        low, high = BELIEVED
        is_believed = low < ahead < high
        due = self._even(now, ahead if is_believed else self._usual, frames)
        needed = due - now if self._is_by_calls else ahead
        if is_believed:
            self.latency = max(needed, self.latency - FORGOTTEN * frames / self._rate)
        return due

    def came_at(self, now: float, ago: float, frames: int) -> float:
        """The moment at which the first frame of a block came in that the device says is so long ago."""
        low, high = BELIEVED
        return self._even(now, -(ago if low < ago < high else frames / self._rate), frames, is_input=True)

    def _even(self, now: float, ahead: float, frames: int, *, is_input: bool = False) -> float:
        said, called = self._words.along(now + ahead, frames), self._calls.called(now, frames)
        was_by_calls = self._is_by_calls and not self._words.is_anew
        calls, words = self._calls.uneven, self._words.uneven
        self._is_by_calls = calls < 2 * words if was_by_calls else 2 * calls < words
        if not self._is_by_calls:
            return said
        later = now + ahead - called if is_input else said - called
        if not was_by_calls:
            self._later = said - called
        elif is_input:
            self._later += (EARLIER_SHARE if later < self._later else LATER_SHARE) * (later - self._later)
        else:
            self._later += WORD_SHARE * (later - self._later)
        return called + self._later
