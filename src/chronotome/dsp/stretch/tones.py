"""Tones between attacks: one phase vocoder along a bent map, its phases at both ends the recording's own.

Sources: J. Laroche and M. Dolson, "Improved Phase Vocoder Time-Scale Modification of Audio", 1999 (phases are
locked in regions about the peaks of a spectrum); M. S. Puckette, "Phase-locked Vocoder", 1995 (the phase
advance is read from the recording one hop earlier, nothing is unwrapped).
"""

from dataclasses import dataclass

import numpy as np
import scipy.fft
from numpy.lib.stride_tricks import sliding_window_view
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples, frames_between
from chronotome.dsp.fades import crossfade, hann
from chronotome.dsp.stretch.engines import OVERLAP, Bends
from chronotome.dsp.stretch.seams import Spectra, around, as_far_on, power_of, regions, scale_of

WINDOW_SECONDS = 0.116
LEAD_IN, ATTACK, SEAM = 0.006, 0.020, 0.012
"""Verbatim before an end, after an attack, after a seam; the last of it leads into the vocoder."""


HEAD_FADE, TAIL_FADE = 0.008, 0.012
BLIND = 0.004
"""Before an attack: from there on no frame sees the recording; where nothing follows, from the end on."""


EARLIER, EARLIER_TIMES, MOST_RISE = 0.005, 6, 2.0
"""The tail may begin so much earlier, so often, where the energy would rise by more than that."""
MOST_STRETCH = 2.5


DETUNE_CENTS, DETUNE_HERTZ = 10.0, 0.5
"""Phases are led back by at most one of these, the larger."""
APART = 64
"""Frames that a bend keeps from what is verbatim."""


FRAMES_AT_ONCE = 8


@dataclass(frozen=True)
class ToneSpan:
    """What is rendered: source frames [start, end) as `length` heard ones, bent in between."""

    start: int
    end: int
    length: int
    bends: Bends = ()
    begins_softly: bool = False
    """At no attack: only a moment of it is verbatim."""
    ends_softly: bool = False
    """In no attack: what comes next may be heard beforehand."""
    is_last: bool = False
    """Nothing follows that its end leads into."""
    shifts: tuple[int, int] = (0, 0)
    """Frames by which its soft ends are heard later than they were played: their phases are as far on."""


def stretch_tones(source: Samples, rate: int, span: ToneSpan, overlap: int = OVERLAP) -> Samples:
    """One span between two attacks, or seams in between.

    A pure function of its span: it begins and ends verbatim, with the recording's own phases.

    Returns
    -------
    float32, shape (span.length, channels)
    """
    spanned, length = span.end - span.start, span.length
    if length == spanned and not any(span.shifts) and all(of == to for of, to in span.bends):
        return frames_between(source, span.start, span.end)
    lead = 0 if span.is_last else min(int(LEAD_IN * rate), spanned // 4, length // 4)
    wanted = int((SEAM if span.begins_softly else ATTACK) * rate)
    attack = _attack(wanted, spanned - lead, length - lead)
    to, of = _map(span, attack, lead)
    fade_in = min(int(HEAD_FADE * rate), attack)
    fade_out = 0 if span.is_last else min(int(TAIL_FADE * rate), (length - attack - lead) // 2)
    size = _window_size(rate, min(spanned, length), overlap)
    ends = _ends(source, span, size, size // overlap)
    run = _Run(source, rate, (to, of), size, overlap, span, ends)
    body = run.rendered(attack - fade_in, length - lead)
    head = around(source, span.start, (0, attack), size, overlap, ends[0])
    if fade_in:
        body[:fade_in] = crossfade(head[attack - fade_in :], body[:fade_in])
    tail = around(source, span.end, (-lead - fade_out, 0), size, overlap, ends[1])
    if ends[1] is not None:
        body[len(body) - fade_out :] = crossfade(body[len(body) - fade_out :], tail[:fade_out])
    elif fade_out:
        _lead_in(body, source, span.end - lead, fade_out, int(EARLIER * rate))
    return np.concatenate([head[: attack - fade_in], body, tail[fade_out:]])


def beside_tones(
    source: Samples, rate: int, span: ToneSpan, frames: int, overlap: int = OVERLAP
) -> tuple[Samples, Samples]:
    """What is heard in so many frames before a span, and after it; at seams with phases as far on."""
    size = _window_size(rate, rate, overlap)
    first, last = _ends(source, span, size, size // overlap)
    return (
        around(source, span.start, (-frames, 0), size, overlap, first),
        around(source, span.end, (0, frames), size, overlap, last),
    )


def _attack(wanted: int, spanned: int, length: int) -> int:
    """As wanted, at most half of either, and so short that the rest is not stretched beyond reason."""
    attack = min(wanted, spanned // 2, length // 2)
    while attack > 0 and not 1 / MOST_STRETCH <= (length - attack) / max(1, spanned - attack) <= MOST_STRETCH:
        attack = int(attack * 0.8)
    return attack


def _map(span: ToneSpan, attack: int, lead: int) -> tuple[NDArray[np.int64], NDArray[np.int64]]:
    """Heard and source frames that are tied, straight in between; of slope 1 where it is verbatim."""
    spanned = span.end - span.start
    last = (span.length - lead, spanned - lead)
    inner = [
        (to, of)
        for of, to in span.bends
        if attack + APART < to < last[0] - APART and attack + APART < of < last[1] - APART
    ]
    ties = [(0, 0), (attack, attack), *inner, last, (span.length, spanned)]
    rising = [tie for at, tie in enumerate(ties) if at == 0 or tie[0] > ties[at - 1][0]]
    pairs = np.array(rising, np.int64)
    return pairs[:, 0], pairs[:, 1] + span.start


def _window_size(rate: int, shortest: int, overlap: int) -> int:
    """Of a window, twice a number of hops; halved while the span is shorter than a hop."""
    size = scipy.fft.next_fast_len(int(WINDOW_SECONDS * rate) // (2 * overlap), real=True) * 2 * overlap
    while size > 512 and shortest < size // overlap:
        size = size // (4 * overlap) * 2 * overlap
    return size


def _ends(source: Samples, span: ToneSpan, size: int, hop: int) -> tuple[Spectra | None, Spectra | None]:
    """What turns each bin at both ends as far on as it is to be; None where that is as recorded."""
    first, last = span.shifts
    return (
        as_far_on(source, span.start, first, size, hop) if span.begins_softly and first else None,
        as_far_on(source, span.end, last, size, hop) if span.ends_softly and last else None,
    )


class _Run:
    """The vocoder along one map."""

    def __init__(  # noqa: PLR0917 - what a run is of
        self,
        source: Samples,
        rate: int,
        ties: tuple[NDArray[np.int64], NDArray[np.int64]],
        size: int,
        overlap: int,
        span: ToneSpan,
        ends: tuple[Spectra | None, Spectra | None],
    ) -> None:
        self._source, self._rate, (self._to, self._of), self._span = source, rate, ties, span
        self._size, self._hop, self._overlap, self._ends = size, size // overlap, overlap, ends

    def rendered(self, low: int, high: int) -> Samples:
        """Heard frames [low, high), counted from the span's start."""
        hop, size, channels, overlap = self._hop, self._size, self._source.shape[1], self._overlap
        before = (
            overlap // 2 - 1
        )  # frames whose middle is ahead of all that is wanted, and which reach into it
        count = -((low - high) // hop) + overlap - 1
        moments = low + (np.arange(count) - before) * hop
        now, turn = self._spectra(self._centres(moments))
        starts, peaks, rows = regions(power_of(now))
        counts = np.diff(starts, append=turn.size)
        first = before + 1
        begin = np.ones(rows[first], np.complex64)
        if self._ends[0] is not None:
            begin = self._ends[0][peaks[: rows[first]]]
        turns = _rotations(turn, starts, counts, rows, begin)
        if not self._span.is_last:
            closing = min(int(np.searchsorted(moments, self._to[-2])), count - 1)
            turns *= self._led_back(turns, counts, rows, peaks, (first - 1, closing))
        rotation = np.repeat(turns, counts).reshape(turn.shape)
        window = hann(size)
        scale = scale_of(size, overlap)
        result = np.zeros((channels, (count + overlap) * hop), np.float32)
        for at in range(0, count, FRAMES_AT_ONCE):
            part = now[:, at : at + FRAMES_AT_ONCE] * rotation[at : at + FRAMES_AT_ONCE]
            frames = scipy.fft.irfft(part, size, axis=-1, overwrite_x=True)
            frames *= window * scale
            for number in range(frames.shape[1]):
                start = (at + number) * hop
                result[:, start : start + size] += frames[:, number]
        start = size // 2 + before * hop
        return np.ascontiguousarray(result[:, start : start + high - low].T)

    def _centres(self, moments: NDArray[np.int64]) -> NDArray[np.int64]:
        """Source frames that are heard at moments; of slope 1 beyond both ends."""
        centres = np.interp(moments, self._to, self._of)
        centres += np.minimum(0, moments - self._to[0]) + np.maximum(0, moments - self._to[-1])
        return np.rint(centres).astype(np.int64)

    def _spectra(self, centres: NDArray[np.int64]) -> tuple[Spectra, Spectra]:
        """Of each frame its spectra; and its phases one hop earlier against those of the frame before it."""
        hop, size = self._hop, self._size
        at = centres - size // 2
        left = int(at.min()) - hop
        local = np.ascontiguousarray(frames_between(self._source, left, int(at.max()) + size).T)
        if not self._span.ends_softly:
            blind = self._span.end - (0 if self._span.is_last else int(BLIND * self._rate)) - left
            if blind < local.shape[1] and (not self._span.is_last or local[:, blind:].any()):
                local = local.copy()  # of one channel it is the recording itself
                _continue(local, blind)
        views, window = sliding_window_view(local, size, axis=1), hann(size)
        now = np.empty((len(local), len(at), size // 2 + 1), np.complex64)
        turn = np.zeros(now.shape[1:], np.complex64)
        for k in range(0, len(at), FRAMES_AT_ONCE):
            part = at[k : k + FRAMES_AT_ONCE] - left
            frames = np.multiply(views[:, part], window)
            now[:, k : k + len(part)] = scipy.fft.rfft(frames, axis=-1)
            np.multiply(views[:, part - hop], window, out=frames)
            earlier = scipy.fft.rfft(frames, axis=-1)
            np.conjugate(earlier, out=earlier)
            low = max(k, 1)
            for channel in range(len(local)):
                turn[low : k + len(part)] += (
                    now[channel, low - 1 : k + len(part) - 1] * earlier[channel, low - k :]
                )
        return now, turn

    def _led_back(
        self,
        turns: Spectra,
        counts: NDArray[np.int64],
        rows: NDArray[np.int64],
        peaks: NDArray[np.int64],
        ends: tuple[int, int],
    ) -> Spectra:
        """What turns phases to the recording's own at the closing frame, or to wanted ones, bit by bit."""
        begin, closing = min(ends[0], ends[1] - 1), ends[1]
        low, high = rows[closing], rows[closing + 1]
        away = turns[low:high]
        if self._ends[1] is not None:
            away = away * self._ends[1][peaks[low:high]].conj()
        left = np.repeat(np.angle(away), counts[low:high])
        span = max(1, closing - begin)
        bins = np.arange(len(left)) / self._size
        cents = bins * (2 ** (DETUNE_CENTS / 1200) - 1)
        most = 2 * np.pi * span * self._hop * np.maximum(cents, DETUNE_HERTZ / self._rate)
        left = np.clip(left, -most, most)
        ramp = np.clip((np.arange(len(rows) - 1) - begin) / span, 0.0, 1.0)
        angles = (left[peaks] * np.repeat(ramp, np.diff(rows))).astype(np.float32)
        return np.asarray(np.cos(angles) - 1j * np.sin(angles), np.complex64)


def _rotations(
    turn: Spectra,
    starts: NDArray[np.int64],
    counts: NDArray[np.int64],
    rows: NDArray[np.int64],
    begin: Spectra,
) -> Spectra:
    """By what each region of each frame is turned; those of the first frames are known."""
    frames, bins = turn.shape
    turns = np.ones(len(starts), np.complex64)
    turns[: len(begin)] = begin
    first = int(np.searchsorted(rows, len(begin)))
    low, high = rows[first - 1], rows[first]
    carried = np.repeat(turns[low:high], counts[low:high])
    for frame in range(first, frames):
        low, high = rows[frame], rows[frame + 1]
        found = np.add.reduceat(turn[frame] * carried, starts[low:high] - frame * bins)
        size = np.abs(found)
        silent = size < 1e-18
        found /= np.maximum(size, np.float32(1e-18))
        found[silent] = 1
        turns[low:high] = found
        carried = np.repeat(found, counts[low:high])
    return turns


def _continue(local: Samples, at: int) -> None:
    """From `at` on put what comes before it, at the period at which it is most alike; (channels, frames)."""
    missing, width = local.shape[1] - at, min(1024, at // 3)
    if missing <= 0 or width < 16:
        return
    reach = min(at - width, 4096)
    past = local[:2, at - width - reach : at].sum(axis=0)
    size = scipy.fft.next_fast_len(len(past) + width, real=True)
    product = scipy.fft.rfft(past, size) * np.conj(scipy.fft.rfft(past[-width:], size))
    sums = np.concatenate([[0.0], np.cumsum(past.astype(np.float64) ** 2)])
    energy = sums[width : width + reach + 1] - sums[: reach + 1]
    alike = scipy.fft.irfft(product, size)[: reach + 1] / np.sqrt(energy + 1e-9)
    alike = alike[: max(1, reach - max(256, width // 2) + 1)]
    best = float(alike.max())
    period = reach - int(np.flatnonzero(alike >= best - 0.02 * abs(best))[0])
    if period < 1:
        return
    for start in range(at, at + missing, period):
        stop = min(start + period, at + missing)
        local[:, start:stop] = local[:, start - period : stop - period]
    fade = min(256, at - period, width)
    up = np.linspace(0, 1, fade, dtype=np.float32)
    local[:, at - fade : at] += up * (local[:, at - fade - period : at - period] - local[:, at - fade : at])


def _lead_in(body: Samples, source: Samples, end: int, fade: int, step: int) -> None:
    """Lead the vocoder's end into the recording's up to `end`, earlier where a silence would fill."""
    best, back = float("inf"), 0
    for number in range(EARLIER_TIMES):
        earlier = number * step
        if earlier + fade > len(body) // 2:
            break
        stop = len(body) - earlier
        ours = body[stop - fade // 2 : stop]
        theirs = frames_between(source, end - earlier - fade // 2, end - earlier)
        rise = float((np.vdot(ours, ours) + 1e-9) / (np.vdot(theirs, theirs) + 1e-9))
        if rise < best:
            best, back = rise, earlier
        if rise < MOST_RISE:
            break
    stop = len(body) - back
    body[stop:] = frames_between(source, end - back, end)
    body[stop - fade : stop] = crossfade(
        body[stop - fade : stop], frames_between(source, end - back - fade, end - back)
    )
