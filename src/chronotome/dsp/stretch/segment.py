"""One span between two anchors, rendered to another length, its attack untouched.

Around every anchor the result is a verbatim copy of the recording; only what lies between is changed. A
segment is a pure function of its source span, its length and its engine, so moving one marker changes two
segments and leaves every other sample as it was.
"""

from functools import partial
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Samples, frames_between
from chronotome.dsp.fades import crossfade
from chronotome.dsp.mute_span import Hushed
from chronotome.dsp.stretch.attacks import APART, attack_beside
from chronotome.dsp.stretch.cutting import CURVES
from chronotome.dsp.stretch.engines import ATTACK, ENGINES, Bends, Engine, EngineName, Middle
from chronotome.dsp.stretch.evenness import Evenness
from chronotome.dsp.stretch.gaps import Gap
from chronotome.dsp.stretch.tape import at_other_speed
from chronotome.dsp.stretch.wsola import overlap_wide
from chronotome.dsp.tone import AS_RECORDED, Tone

LEAD_IN = 0.006
MOST_STRETCH = 2.5
GAP_STEP, GAP_REACH, GAP_SHARE = 0.002, 0.020, 10 ** (-12 / 10)
"""Where the last ms before an attack are 12 dB below the 20 ms ahead of them, they are a gap."""
SPLICE_REACH = 0.030
NEVER_BENT = 0.010
"""Seconds of an attack whose level stays, however long it is for what becomes of it."""
BESIDE = 64
"""Frames beside a segment that reading it at another speed looks at."""
MOST_STRAY, WORTH_IT = 2.0, 0.5
"""Decibels of a hole or bump beyond which other ways are tried, and by which they have to be better."""


class Shape(NamedTuple):
    """What is between the ends of a span, and what they are."""

    bends: Bends = ()
    begins_softly: bool = False
    ends_softly: bool = False
    hushed: tuple[Hushed, ...] = ()
    """Noises near it that are not to be heard."""
    gap: Gap = Gap()
    """What comes into gaps, where it is cut."""
    shifts: tuple[int, int] = (0, 0)
    """Frames by which ends that are seams are heard later than they were played."""
    engine: EngineName | None = None
    """What renders it, where that is not what renders the others."""
    tone: Tone = AS_RECORDED
    band: tuple[float, bool] | None = None
    """The frequency of a crossover, and whether it is what is above; None: all is heard."""
    goes_on: tuple[bool, bool] = (False, False)
    """At another pitch: whether it begins where a long one at that pitch ends, and ends where one begins."""


PLAIN = Shape()


def render_segment(
    source: Samples,
    rate: int,
    span: tuple[int, int],
    length: int,
    *,
    engine: EngineName,
    is_last: bool = False,
    shape: Shape = PLAIN,
    room: Samples | None = None,
) -> Samples:
    """Source frames [span[0], span[1]) as `length` heard frames.

    Parameters
    ----------
    source : float32, shape (frames, channels)
        The whole recording; frames outside of it count as silence.
    rate : int
    span : two frames, rising
        Both anchors. What is heard begins with the verbatim attack of the first and ends with the verbatim
        6 ms before the second.
    length : int
        Frames wanted, at least 1.
    engine : EngineName
    is_last : bool
        Nothing follows: no lead-in is kept for it.
    shape : Shape
        Bends in between, and whether its ends are attacks, for tones; what fills gaps, for cutting.
    room : float32, shape (frames, channels), or None
        The recording's quiet place, for gaps that it fills.

    Returns
    -------
    float32, shape (length, channels)
        A plain copy where length equals the span.
    """
    start, end = span
    if end <= start or length < 1:
        raise ValueError(f"span must rise and length be positive, are {span} and {length}")
    how = ENGINES[engine]
    if how.middle is None:
        from chronotome.dsp.stretch.tones import ToneSpan, stretch_tones  # noqa: PLC0415 - SciPy takes longer than the window to open

        return stretch_tones(
            source, rate, ToneSpan(start, end, length, *shape[:3], is_last, shape.shifts), how.overlap
        )
    if length == end - start:
        return frames_between(source, start, end)
    if how.attack is None:
        return how.middle(source, rate, start, end, length)
    middle, gap = how.middle, PLAIN.gap
    if how.fills_gaps:
        gap = shape.gap
        middle = partial(how.middle, gap=gap, room=room)
    made = _between_attacks(source, rate, span, length, middle, how.attack, is_last=is_last, gap=gap)
    if not how.is_evened:
        return made
    return _evenest(source, rate, span, length, made, is_last=is_last)


def _between_attacks(  # noqa: PLR0917 - what a segment is
    source: Samples,
    rate: int,
    span: tuple[int, int],
    length: int,
    middle: Middle,
    verbatim: float,
    *,
    is_last: bool,
    gap: Gap = PLAIN.gap,
) -> Samples:
    """A verbatim attack, what an engine makes of the rest, led into the verbatim frames before the next."""
    start, end = span
    spanned = end - start
    lead = 0 if is_last else min(_lead_length(source, rate, end), spanned // 4, length // 4)
    attack = _attack_length(int(verbatim * rate), spanned - lead, length - lead)
    body = np.empty((length - lead, source.shape[1]), np.float32)
    body[:attack] = frames_between(source, start, start + attack)
    body[attack:] = middle(source, rate, start + attack, end - lead, len(body) - attack)
    if is_last:
        return body
    _splice(body, source, rate, end - lead, room=min(len(body), spanned - lead) - attack, gap=gap)
    return np.concatenate([body, frames_between(source, end - lead, end)])


def _evenest(
    source: Samples, rate: int, span: tuple[int, int], length: int, made: Samples, *, is_last: bool
) -> Samples:
    """What was made, or where its level strays from the recording's, another way that strays less.

    A low tone under the drums is what frames of 40 ms fail at: wider steps find its period, the vocoder holds
    it. What still strays is made up for between the attacks.
    """
    level = Evenness(frames_between(source, *span), rate)
    least = level.strays(made)
    if least > MOST_STRAY:
        made = _least_stray(source, rate, span, length, (made, least), level, is_last=is_last)
    return level.evened(made, *_bent(rate, length, is_last=is_last))


def _bent(rate: int, length: int, *, is_last: bool) -> tuple[int, int, int]:
    """From where on holes of a segment are filled, up to where, and from where on bumps are taken down."""
    first = min(int(ATTACK * rate), length // 2)
    last = length if is_last else length - int(LEAD_IN * rate)
    return first, last, min(first, int(NEVER_BENT * rate))


def _least_stray(  # noqa: PLR0917 - what a segment is, and what is known of it
    source: Samples,
    rate: int,
    span: tuple[int, int],
    length: int,
    best: tuple[Samples, float],
    level: Evenness,
    *,
    is_last: bool,
) -> Samples:
    """The first of two other ways that strays by less than 2 dB, or the one that strays least."""
    from chronotome.dsp.stretch.tones import ToneSpan, stretch_tones  # noqa: PLC0415 - SciPy takes longer than the window to open

    made, least = best
    for number in range(2):
        if number == 0:
            other = _between_attacks(source, rate, span, length, overlap_wide, ATTACK, is_last=is_last)
        else:
            other = stretch_tones(source, rate, ToneSpan(*span, length, is_last=is_last))
        stray = level.strays(other)
        if stray < least - WORTH_IT:
            made, least = other, stray
        if least <= MOST_STRAY:
            break
    return made


def render_hit(
    source: Samples,
    rate: int,
    span: tuple[int, int],
    length: int,
    *,
    engine: EngineName,
    is_last: bool = False,
    shape: Shape = PLAIN,
    room: Samples | None = None,
    semitones: float = 0.0,
    is_reversed: bool = False,
) -> Samples:
    """A segment, at another pitch or from its end to its start, in the same `length`.

    Parameters are those of `render_segment`; `semitones` is -36 to 36, 0 leaves the pitch as it is.

    Returns
    -------
    float32, shape (length, channels)
    """
    if not semitones:
        made = render_segment(
            source, rate, span, length, engine=engine, is_last=is_last, shape=shape, room=room
        )
        return made[::-1] if is_reversed else made
    ratio = 2 ** (semitones / 12)
    longer = max(1, round(length * ratio))
    pitched_by = ENGINES[engine].pitched_by
    if pitched_by is not None:  # its own pitch comes with its speed: this one is what the vocoder adds
        engine, longer = pitched_by, max(1, round((span[1] - span[0]) * ratio))
    shape = shape._replace(bends=tuple((of, round(to * ratio)) for of, to in shape.bends))
    head, tail = (0, 0) if is_reversed else _beside_marks(source, rate, span, length, shape, is_last=is_last)
    first, start = max(0, round(head * ratio)), span[0] + (head if head > 0 else round(head * (1 - ratio)))
    last, end = max(0, round(-tail * ratio)), span[1] + min(tail, 0)
    if start != span[0] or first:
        shape = shape._replace(bends=tuple((of - start + span[0], to - first) for of, to in shape.bends))
    made = render_segment(
        source,
        rate,
        (start, end),
        longer - first - last,
        engine=engine,
        is_last=is_last,
        shape=shape,
        room=room,
    )
    before, after = _beside(source, rate, (start, end), ENGINES[engine], shape, is_last=is_last)
    if first:
        ring = frames_between(source, start - first, start)
        over = min(first, head)
        ring[:over] = crossfade(frames_between(source, span[0], span[0] + over), ring[:over])
        before = np.concatenate([frames_between(source, span[0] - BESIDE, span[0]), ring])
    if last:
        after = frames_between(source, end, end + last + BESIDE)
    made = at_other_speed(np.concatenate([before, made, after]), BESIDE, BESIDE + longer, length)
    if not ENGINES[engine].fills_gaps:
        level = Evenness(frames_between(source, *span), rate)
        made = level.evened(made, *_bent(rate, length, is_last=is_last))
    return made[::-1] if is_reversed else made


def _beside_marks(
    source: Samples, rate: int, span: tuple[int, int], length: int, shape: Shape, *, is_last: bool
) -> tuple[int, int]:
    """Frames from the marks at both ends to their attacks.

    One before its mark counts only where the piece beside goes on in step: both have a part of it.
    """
    most = min(span[1] - span[0], length) // APART
    head = 0 if shape.begins_softly else attack_beside(source, rate, span[0])
    tail = 0 if shape.ends_softly or is_last or not shape.goes_on[1] else attack_beside(source, rate, span[1])
    head = 0 if head > most or (head < 0 and not shape.goes_on[0]) else head
    return head, tail if -most <= tail < 0 else 0


def _beside(
    source: Samples, rate: int, span: tuple[int, int], how: Engine, shape: Shape, *, is_last: bool
) -> tuple[Samples, Samples]:
    """What sounds just before a segment and just after it: what is read faster or slower begins in that."""
    start, end = span
    if how.middle is None:
        from chronotome.dsp.stretch.tones import ToneSpan, beside_tones  # noqa: PLC0415 - SciPy takes longer than the window to open

        tones = ToneSpan(start, end, end - start, *shape[:3], is_last, shape.shifts)
        before, after = beside_tones(source, rate, tones, BESIDE, how.overlap)
    else:
        before, after = (
            frames_between(source, start - BESIDE, start),
            frames_between(source, end, end + BESIDE),
        )
    return before, np.zeros_like(after) if is_last else after


def _lead_length(source: Samples, rate: int, end: int) -> int:
    """6 ms, and more where the sound has ended before: a gap before an attack is heard once, as it is."""
    lead, step, reach = int(LEAD_IN * rate), max(1, int(GAP_STEP * rate)), int(GAP_REACH * rate)
    before = frames_between(source, end - 2 * reach, end)
    count = len(before) // step
    power = (before[len(before) - count * step :].reshape(count, -1).astype(np.float64) ** 2).mean(axis=1)
    loud = power[: count // 2].max(initial=0.0)
    quiet = power < loud * GAP_SHARE
    run = int(np.argmin(quiet[::-1])) if not quiet.all() else count
    return max(lead, min(run * step, reach))


def _attack_length(wanted: int, spanned: int, length: int) -> int:
    """As wanted, at most half of either, and short enough that the rest changes by at most 2.5 times."""
    attack = min(wanted, spanned // 2, length // 2)
    while attack > 0:
        ratio = (length - attack) / max(1, spanned - attack)
        if 1 / MOST_STRETCH <= ratio <= MOST_STRETCH:
            break
        attack = int(attack * 0.8)
    return attack


def _splice(body: Samples, source: Samples, rate: int, end: int, *, room: int, gap: Gap) -> None:
    """Lead the end of `body` into source frames just before `end`, where the two are most alike."""
    fade = max(0, min(int(2 * gap.fade * rate), room // 2))
    reach = min(int(SPLICE_REACH * rate), room // 2 - fade)
    back = _best_splice(body, source, end, fade=fade, reach=reach) if fade and reach > 8 else 0
    total = len(body)
    if back:
        body[total - back :] = frames_between(source, end - back, end)
    if fade:
        body[total - back - fade : total - back] = crossfade(
            body[total - back - fade : total - back],
            frames_between(source, end - back - fade, end - back),
            CURVES[gap.crossing],
        )


def _best_splice(body: Samples, source: Samples, end: int, *, fade: int, reach: int) -> int:
    """Frames before the end at which body and source correlate best at equal level."""
    ours = body[len(body) - reach - fade :].astype(np.float64)
    theirs = frames_between(source, end - reach - fade, end).astype(np.float64)

    def over_fade(values: NDArray[np.float64]) -> NDArray[np.float64]:
        sums = np.cumsum(np.pad(values, (1, 0)))
        return sums[fade:] - sums[:-fade]

    shared = over_fade((ours * theirs).sum(axis=1))
    own = over_fade((ours * ours).sum(axis=1)) + 1e-9
    other = over_fade((theirs * theirs).sum(axis=1)) + 1e-9
    level_error = np.maximum(0, np.abs(10 * np.log10(own / other)) - 3)
    return len(shared) - 1 - int(np.argmax(shared / np.sqrt(own * other) - 0.05 * level_error))
