"""A tempo map as points that a hand moves: each is stepped to, or reached evenly from the one before."""

from itertools import pairwise
from typing import NamedTuple

from chronotome.session.grid import FASTEST, SLOWEST, TempoChange, TempoMap
from chronotome.session.memo import by_identity
from chronotome.session.metre import MetreMap

EVEN = 1e-6
"""Bpm, and quarter notes, within which a ramp is even."""
FEWEST = 2
"""Changes of a ramp; of fewer nobody can tell."""


class TempoPoint(NamedTuple):
    """At `beat` the song has `bpm`; `is_ramp`: from the point before on it went there evenly."""

    beat: float
    bpm: float
    is_ramp: bool = False


@by_identity(16)
def points_of(tempo: TempoMap) -> tuple[TempoPoint, ...]:
    """The points of a map: changes that rise or fall evenly, as `changes_through` lays them, are a ramp."""
    changes, points, at = tempo.changes, list[TempoPoint](), 0
    beats, tempi = [each.beat for each in changes], [each.beats_per_minute for each in changes]
    while at < len(changes):
        end = _end_of_ramp(beats, tempi, at)
        if end is None:
            points.append(TempoPoint(beats[at], tempi[at]))
            at += 1
            continue
        step = (tempi[end - 1] - tempi[at]) / (end - at - 1)
        first, last = round(tempi[at] - step / 2, 9), round(tempi[end - 1] + step / 2, 9)
        if not points or abs(points[-1].bpm - first) > EVEN or points[-1].beat < beats[at] - EVEN:
            points.append(TempoPoint(beats[at], first))
        points.append(TempoPoint(beats[end], last, is_ramp=True))
        at = end + (abs(tempi[end] - last) <= EVEN)  # else another ramp begins there at once
    return tuple(_with_starts(points))


def _with_starts(points: list[TempoPoint]) -> list[TempoPoint]:
    """Without points at which nothing happens: a step to the tempo that holds, that begins no ramp."""
    kept = points[:1]
    for at, each in enumerate(points[1:], 1):
        begins = at + 1 < len(points) and points[at + 1].is_ramp
        if each.is_ramp or begins or each.bpm != kept[-1].bpm:
            kept.append(each)
    return kept


def _end_of_ramp(beats: list[float], tempi: list[float], at: int) -> int | None:
    """The change that ends the ramp that begins at a change, or begins the next; None where none does."""
    end = _end_of_run(beats, tempi, at)
    if end is None:
        return None
    last = tempi[end - 1] + (tempi[at + 1] - tempi[at]) / 2
    if abs(tempi[end] - last) <= EVEN:
        return end
    after = _end_of_run(beats, tempi, end)
    is_next = after is not None and abs(tempi[end] - (tempi[end + 1] - tempi[end]) / 2 - last) <= EVEN
    return end if is_next else None


def _end_of_run(beats: list[float], tempi: list[float], at: int) -> int | None:
    """The first change behind those that rise or fall evenly from one on, as far apart as they are."""
    if at + FEWEST >= len(beats) or abs(tempi[at + 1] - tempi[at]) <= EVEN:
        return None
    rise, apart, end = tempi[at + 1] - tempi[at], beats[at + 1] - beats[at], at + 1
    while end < len(beats) and abs(tempi[end] - tempi[end - 1] - rise) <= EVEN:
        if abs(beats[end] - beats[end - 1] - apart) > EVEN:
            return None
        end += 1
    return end if end < len(beats) and abs(beats[end] - beats[end - 1] - apart) <= EVEN else None


def changes_through(points: tuple[TempoPoint, ...], metre: MetreMap) -> tuple[TempoChange, ...]:
    """The changes of points in order; each beat of a ramp has one tempo, that of its middle."""
    changes = [TempoChange(points[0].beat, _held(points[0].bpm))]
    for before, here in pairwise(points):
        if here.is_ramp:
            start, end = before.beat, here.beat
            count = max(1, round((end - start) / metre.metre_at(start).beat))
            if changes[-1].beat >= start - EVEN:
                changes.pop()
            rise = here.bpm - before.bpm
            changes += [
                TempoChange(start + (end - start) * at / count, _held(before.bpm + rise * (at + 0.5) / count))
                for at in range(count)
            ]
        changes.append(TempoChange(here.beat, _held(here.bpm)))
    return tuple(changes)


def _held(bpm: float) -> float:
    return max(SLOWEST, min(FASTEST, bpm))
