"""Slices played from keys: up to 64 voices in one gather over voices and frames, no loop over voices.

Stereo samples are looked at as complex64, so that one gather moves both channels. Positions are 32.32 fixed
point: a block of 64 and one of 512 give the same bits. All that happens in a block is applied before it is
mixed: a voice that begins at frame s of it has age -s, and is silent until then.
"""

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve, Samples

POLYPHONY, SPARE = 64, 32
"""Voices that sound, and those that are fading out besides."""
ROWS = POLYPHONY + SPARE
TAPS, PHASE_BITS = 8, 12
KAISER = 7.0
CHOKE_FADE, ATTACK_FADE, END_FADE = 96, 16, 144
"""Frames over which a voice gives way to another, comes in, and goes out at its own end."""
HELD, ENDING = 1, 2
ONE, FAR = 1 << 32, 1 << 40
AT_ONCE = 1024
_WHOLE = ("serial", "key", "group", "flags", "origin", "last", "at", "step", "age", "end", "cut")
_PARTS = ("rise", "fall", "drop", "left", "right")
VOICE = np.dtype([(name, "<i8") for name in _WHOLE] + [(name, "<f8") for name in _PARTS])


def _kernel() -> NDArray[np.complex64]:
    """(taps, phases): windowed sinc, each weight for both channels; tap t reads frame floor(p) - 3 + t."""
    share = np.arange(1 << PHASE_BITS) / (1 << PHASE_BITS)
    away = share[None] - (np.arange(TAPS)[:, None] - TAPS // 2 + 1)
    window = np.i0(KAISER * np.sqrt(np.maximum(0.0, 1.0 - (away / (TAPS / 2)) ** 2)))
    weights = np.sinc(away) * window
    weights /= weights.sum(axis=0)
    return np.ascontiguousarray((weights + 1j * weights).astype(np.complex64))


class _Room:
    """Work arrays for so many voices, cut from those for all: made once."""

    def __init__(self, whole: "_Whole", count: int) -> None:
        self.pos, self.idx, self.phase = (each[:count] for each in whole.integers)
        self.x, self.y, self.w = (each[:count] for each in whole.pairs)
        self.xf, self.yf, self.wf = (each.view(np.float32) for each in (self.x, self.y, self.w))
        self.e, self.f = (each[:count] for each in whole.levels)
        self.left, self.right = self.wf[:, 0::2], self.wf[:, 1::2]
        self.columns = [each[:count] for each in whole.columns]
        self.flat = [each[:, 0] for each in self.columns]


class _Whole:
    def __init__(self) -> None:
        self.integers = [np.empty((ROWS, AT_ONCE), np.int64) for _ in range(3)]
        self.pairs = [np.empty((ROWS, AT_ONCE), np.complex64) for _ in range(3)]
        self.levels = [np.empty((ROWS, AT_ONCE), np.float32) for _ in range(2)]
        self.columns = [np.zeros((ROWS, 1), np.float32) for _ in range(8)]


class KeyVoices:
    """Voices that keys let sound. One thread uses it, the audio callback.

    Invariants: rows 0 to count - 1 sound, in the order in which they began, so that they are added up in one
    order. A voice's level at age a is min(1, (a + 1) rise, (end - a) fall, (cut - a) drop), never below 0.
    """

    def __init__(self, floats: Curve, block: int) -> None:
        self.block = min(block, AT_ONCE)
        self._pairs = floats.view(np.complex64)
        self.count = self._serial = 0
        self._table, self._other = np.zeros(ROWS, VOICE), np.zeros(ROWS, VOICE)
        kernel = _kernel()
        self._taps = list(enumerate(kernel))
        self._shifted = [self._pairs[tap:] for tap in range(TAPS)]
        self._rooms: dict[int, list[_Room]] = {}
        self._whole = _Whole()
        self._numbers = np.arange(AT_ONCE, dtype=np.int64)[None]
        self._shares = np.arange(AT_ONCE, dtype=np.float32)[None]
        self._sum = np.empty(2 * AT_ONCE, np.float32)
        self._room_for(self.block)

    def _room_for(self, frames: int) -> list[_Room]:
        """Work arrays of a block's length, for each number of voices."""
        if frames not in self._rooms:
            whole = _Whole.__new__(_Whole)
            for name in ("integers", "pairs", "levels"):
                arrays = getattr(self._whole, name)
                setattr(whole, name, [each.ravel()[: ROWS * frames].reshape(ROWS, frames) for each in arrays])
            whole.columns = self._whole.columns
            self._rooms[frames] = [_Room(whole, count) for count in range(ROWS + 1)]
        return self._rooms[frames]

    def start(  # noqa: PLR0917 - what a voice is
        self,
        key: int,
        offset: int,
        frames: int,
        gains: tuple[float, float],
        semitones: float,
        group: int,
        release: int,
        at: int,
        *,
        is_held: bool,
    ) -> None:
        """Frames of the arena, stereo from float `offset` on, sound from frame `at` of the next block on."""
        table = self._table
        if group:
            self._end(np.flatnonzero(table["group"][: self.count] == group), at, CHOKE_FADE)
        sounding = np.flatnonzero((table["flags"][: self.count] & ENDING) == 0)
        if len(sounding) >= POLYPHONY:
            self._end(sounding[:1], at, CHOKE_FADE)
        if self.count == ROWS:  # as many end at once: the one that is nearest to its end goes
            gone = int((np.minimum(table["end"], table["cut"]) - table["age"]).argmin())
            table[gone:-1] = table[gone + 1 :].copy()
            self.count -= 1
        step = round(ONE * 2 ** (semitones / 12))
        length = -(-(frames << 32) // step)
        self._serial += 1
        table[self.count] = (
            self._serial,
            key,
            group,
            HELD if is_held else 0,
            offset // 2,
            frames - 1,
            -at * step,
            step,
            -at,
            length,
            FAR,
            1 / ATTACK_FADE,
            1 / min(END_FADE, max(1, length // 2)),
            1 / max(1, release),
            gains[0],
            gains[1],
        )
        self.count += 1

    def release(self, key: int, at: int) -> None:
        """A key is let go of: what sounds only as long as it is held ends."""
        table = self._table[: self.count]
        held = (table["key"] == key) & ((table["flags"] & HELD) != 0) & ((table["flags"] & ENDING) == 0)
        self._end(np.flatnonzero(held), at, 0)

    def silence(self, at: int) -> None:
        self._end(np.arange(self.count), at, CHOKE_FADE)

    def _end(self, rows: NDArray[np.int64], at: int, fade: int) -> None:
        """Voices fall to silence within so many frames (0: each its own), from the level that they have.

        Before frame `at` the old ramps are the lower ones, after it the new one is: no block is cut in two.
        """
        table = self._table
        for row in rows.tolist():
            age, end, cut, fall, drop = (
                table[row][name].item() for name in ("age", "end", "cut", "fall", "drop")
            )
            now, length = age + at, fade or 1 / drop
            natural, ended = (end - now) * fall, (cut - now) * drop
            level = min(1.0, natural, ended)
            table["flags"][row] |= ENDING
            if level <= 0 or now + level * length >= min(end, cut):  # it is silent sooner as it is
                continue
            if ended < min(1.0, natural):  # choked while it was let go of
                table["end"][row], table["fall"][row] = cut, drop
            table["cut"][row] = now + int(np.ceil(level * length))
            table["drop"][row] = level / (int(table["cut"][row]) - now)

    def add_into(self, out: Samples) -> None:
        """Add what comes next of each, float32 (frames, 2)."""
        for first in range(0, len(out), AT_ONCE):
            if self.count:
                self._add(out[first : first + AT_ONCE])

    def _add(self, out: Samples) -> None:
        frames = len(out)
        room, table = self._room_for(frames)[self.count], self._table[: self.count]
        step, at = table["step"], table["at"]
        rise, fall, drop, left, right, age, rest, cut = room.flat
        rise[:], fall[:], drop[:] = table["rise"], table["fall"], table["drop"]
        left[:], right[:] = table["left"], table["right"]
        age[:], rest[:], cut[:] = table["age"], table["end"] - table["age"], table["cut"] - table["age"]
        age += 1
        np.multiply(step[:, None], self._numbers[:, :frames], out=room.pos)
        np.add(room.pos, at[:, None], out=room.pos)
        np.right_shift(room.pos, 32, out=room.idx)
        np.maximum(room.idx, 0, out=room.idx)
        np.minimum(room.idx, table["last"][:, None], out=room.idx)
        if (((step | at) & (ONE - 1)) == 0).all():  # nobody lies between frames
            np.add(room.idx, table["origin"][:, None], out=room.idx)
            np.take(self._pairs, room.idx, out=room.x, mode="clip")  # "raise" would copy `out` first
        else:
            self._between(room, table["origin"])
        self._levels(room, frames, is_cut=bool((table["cut"] < FAR).any()))
        np.multiply(room.xf, room.wf, out=room.xf)
        np.add.reduce(room.xf, axis=0, out=self._sum[: 2 * frames])
        flat = out.reshape(-1)
        np.add(flat, self._sum[: 2 * frames], out=flat)
        self._go_on(table, frames)

    def _between(self, room: _Room, origin: NDArray[np.int64]) -> None:
        """Samples between frames, by eight of them."""
        np.add(room.idx, (origin - (TAPS // 2 - 1))[:, None], out=room.idx)
        np.right_shift(room.pos, 32 - PHASE_BITS, out=room.phase)
        np.bitwise_and(room.phase, (1 << PHASE_BITS) - 1, out=room.phase)
        for tap, weights in self._taps:
            target, floats = (room.x, room.xf) if tap == 0 else (room.y, room.yf)
            np.take(weights, room.phase, out=room.w, mode="clip")
            np.take(self._shifted[tap], room.idx, out=target, mode="clip")
            np.multiply(floats, room.wf, out=floats)
            if tap:
                np.add(room.xf, room.yf, out=room.xf)

    def _levels(self, room: _Room, frames: int, *, is_cut: bool) -> None:
        """How loud each is at each frame, left and right."""
        rise, fall, drop, left, right, age, rest, cut = room.columns
        shares = self._shares[:, :frames]
        np.add(shares, age, out=room.e)
        np.multiply(room.e, rise, out=room.e)
        np.subtract(rest, shares, out=room.f)
        np.multiply(room.f, fall, out=room.f)
        np.minimum(room.e, room.f, out=room.e)
        if is_cut:
            np.subtract(cut, shares, out=room.f)
            np.multiply(room.f, drop, out=room.f)
            np.minimum(room.e, room.f, out=room.e)
        np.maximum(room.e, 0, out=room.e)
        np.minimum(room.e, 1, out=room.e)
        np.multiply(room.e, left, out=room.left)
        np.multiply(room.e, right, out=room.right)

    def _go_on(self, table: NDArray[np.void], frames: int) -> None:
        table["at"] += table["step"] * frames
        table["age"] += frames
        alive = table["age"] < np.minimum(table["end"], table["cut"])
        if not alive.all():
            left = int(np.count_nonzero(alive))
            np.compress(alive, table, out=self._other[:left])
            self._table, self._other, self.count = self._other, self._table, left
