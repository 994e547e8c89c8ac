"""Places to check that a hit alone does not show: flams with other tracks, what the other bars have."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from chronotome.session.check import Check, CheckGroup, Do, Fix, Kind
from chronotome.session.counting import counted_of
from chronotome.session.memo import by_identity, by_parts
from chronotome.session.metre import MetreMap, hit_words
from chronotome.session.model import LockGroup, Recording, Session, Take, Track, TrackId
from chronotome.session.noises import noises_of
from chronotome.session.targets import Targets
from chronotome.session.tighten import targets_of
from chronotome.units import at_other_rate
from chronotome.words import tr

LEAST_FLAM, MOST_FLAM = 12.0, 40.0
"""Milliseconds between two hits that are heard as one that is not together."""
FEW_TIMES = 3
"""So often a track has to have a step before it can be told how late it usually is there."""
NEAR = 60.0
MOST = 200
"""Places of a kind: with more of them it is the grid that is wrong, not the hits."""
MAD, LOOSE = 1.4826, 3.0
"""Two tracks that are loosely together have to be so many times farther apart than usual."""
FEW_BARS = 4
SELDOM, USUALLY, NEARLY_ALWAYS = 0.2, 0.6, 0.8
"""Shares of the bars that have a hit at a step."""
ALIKE, FEW_CHANGES = 0.5, 2
"""A bar that has less in common with the others, and more changes, is a fill, and may be as it likes."""
EXPECTED = 0.35
"""Of a step: as far from where a hit is missing a faint one may be."""
STRONG, LACKED_SECONDS, MOSTLY_THERE = 70.0, 0.03, 0.8


def other_parts(session: Session, track: Track, take: Take) -> Sequence[CheckGroup]:
    """Of a take of a track that is not locked to another."""
    targets = targets_of(session, track, take)
    if not len(targets):
        return ()
    parts, flams = list[CheckGroup](), list[CheckGroup]()
    for other in () if track.is_muted else session.tracks:
        apart = session.guide_of(other.id) != track.id and session.guide_of(other.id) == other.id
        beside = session.beside(other, take) if apart and not other.is_muted else None
        if beside is not None:
            theirs = targets_of(session, other, beside)
            attacks = tuple(
                _attacks(session.recording_of(one), each) for one, each in ((take, targets), (beside, theirs))
            )
            flams.append(_flams(targets, theirs, attacks[0], attacks[1], other.id, other.name, session.metre))
    parts.append(_worst(tuple(flams)))
    if take.playing is None:  # what was written is meant, and none of it is noise
        recording, counts = session.recording_of(take), counted_of(session, take)
        parts += _by_pattern(targets, recording, counts, take, session.metre)
        parts.append(noises_of(targets, recording, counts, take, session.metre))
    group = session.group_of(track.id)
    parts += [] if group is None else _lacking(session, group, track, take, targets)
    return parts


@by_identity(256)
def _attacks(recording: Recording, targets: Targets) -> NDArray[np.bool_]:
    """Which hits are attacks: of a soft one, or a warp marker in a held note, nobody hears a flam."""
    onsets = recording.onsets
    return np.isin(targets.onsets, onsets.id_array[onsets.attack_array])


@by_identity(256)
def _flams(  # noqa: PLR0917 - found again by the identity of each
    mine: Targets,
    theirs: Targets,
    my_attacks: NDArray[np.bool_],
    their_attacks: NDArray[np.bool_],
    other: TrackId,
    name: str,
    metre: MetreMap,
) -> CheckGroup:
    """Hits of two tracks that are apart by what is heard, and not as they usually are at that step.

    A groove in which one of them is late at a step in every bar is none.
    """
    own, others = mine.leads[my_attacks[mine.leads]], theirs.leads[their_attacks[theirs.leads]]
    if not len(own) or not len(others):
        return CheckGroup(Kind.FLAM, ())
    places, there = mine.target[own], theirs.target[others]
    after = np.minimum(np.searchsorted(there, places), len(there) - 1)
    before = np.maximum(after - 1, 0)
    nearest = np.where(places - there[before] <= there[after] - places, before, after)
    apart = (places - there[nearest]) * (1000.0 / mine.rate)
    usual = _usually(mine, metre)[own] - _usually(theirs, metre)[others[nearest]]
    away = np.abs(apart)
    off = np.abs(apart - usual)
    spread = float(np.median(off[away <= NEAR])) * MAD if (away <= NEAR).any() else 0.0
    heard = (away >= LEAST_FLAM) & (away <= MOST_FLAM) & (off >= max(LEAST_FLAM, LOOSE * spread))
    heard &= (away > np.abs(usual)) | (apart * usual < 0)
    checks = []
    for at in np.flatnonzero(heard)[:MOST].tolist():
        place, to = int(own[at]), int(others[nearest[at]])
        side = "later" if apart[at] > 0 else "earlier"
        words = hit_words(float(mine.steps[place]), metre)
        mends = (
            Fix(
                tr("Move to {0}", name),
                Do.MOVE,
                int(mine.onsets[place]),
                _beat(mine, place, int(there[nearest[at]])),
            ),
            Fix(
                tr("Move {0} here", name),
                Do.MOVE_OTHER,
                int(theirs.onsets[to]),
                _beat(mine, place, int(places[at])),
                other,
            ),
        )
        checks.append(
            Check(
                int(mine.onsets[place]),
                float(mine.steps[place]),
                int(mine.played[place]),
                tr("flam with {0}", name),
                tr("{0:.0f} ms", away[at]),
                tr(
                    "{0:.0f} ms {1} than {2} at {3},\nusually {4:+.0f} ms",
                    away[at],
                    side,
                    name,
                    words,
                    usual[at],
                ).replace("-", "−"),
                kind=Kind.FLAM,
                mends=mends,
            )
        )
    return CheckGroup(Kind.FLAM, tuple(checks))


FAR = 1 << 20
"""Between the steps of one metre and those of the next."""


@by_identity(256)
def _usually(targets: Targets, metre: MetreMap) -> NDArray[np.float64]:
    """Ms by which each hit's step of the bar is usually late, as it lands: a groove is no mistake."""
    steps = np.rint(metre.inside(targets.steps)[1] * 96).astype(np.int64)
    steps += metre.kinds_at(targets.steps) * FAR
    usual = np.zeros(len(targets))
    for step in np.unique(steps).tolist():
        here = steps == step
        if here.sum() >= FEW_TIMES:
            usual[here] = np.median(targets.landing[here])
    return usual


@by_parts(64, lambda flams: flams)
def _worst(flams: tuple[CheckGroup, ...]) -> CheckGroup:
    """Of a hit that is apart from several tracks, the one from which it is farthest."""
    worst = dict[int, Check]()
    for check in (check for found in flams for check in found.checks):
        known = worst.get(check.onset)
        if known is None or float(check.figure.split()[0]) > float(known.figure.split()[0]):
            worst[check.onset] = check
    return CheckGroup(Kind.FLAM, tuple(sorted(worst.values(), key=lambda check: check.played)))


def _beat(targets: Targets, near: int, frame: int) -> float:
    """The beat at a session frame near a hit, by how fast the song is there."""
    per_frame = _beats_per_frame(targets, near)
    return float(targets.fitted_beats[near] + (frame - targets.fitted[near]) * per_frame)


def _beats_per_frame(targets: Targets, near: int) -> float:
    low, high = max(0, near - 1), min(len(targets) - 1, near + 1)
    frames = int(targets.fitted[high] - targets.fitted[low])
    return float(targets.fitted_beats[high] - targets.fitted_beats[low]) / frames if frames else 0.0


@by_identity(64)
def _by_pattern(
    targets: Targets, recording: Recording, counts: NDArray[np.bool_], take: Take, metre: MetreMap
) -> tuple[CheckGroup, ...]:
    """What is otherwise than in nearly all other bars of the same metre, but for fills."""
    kinds = metre.kinds_at(targets.steps[targets.leads])
    parts = [
        _by_bars(targets, recording, counts, take, metre, targets.leads[kinds == kind])
        for kind in np.unique(kinds).tolist()
    ]
    return _joined(parts)


def _joined(parts: list[tuple[CheckGroup, ...]]) -> tuple[CheckGroup, ...]:
    return tuple(
        CheckGroup(each[0].kind, tuple(check for found in each for check in found.checks))
        for each in zip(*parts, strict=True)
    )


def _by_bars(  # noqa: PLR0917 - all that says so
    targets: Targets,
    recording: Recording,
    counts: NDArray[np.bool_],
    take: Take,
    metre: MetreMap,
    leads: NDArray[np.int64],
) -> tuple[CheckGroup, ...]:
    bars, inside = metre.inside(targets.steps[leads])
    steps = np.rint(inside * 96).astype(np.int64)
    numbers, names = np.unique(bars), np.unique(steps)
    if len(numbers) < FEW_BARS:
        return CheckGroup(Kind.WRONG_LINE, ()), CheckGroup(Kind.DOUBLED, ()), CheckGroup(Kind.MISSING, ())
    has = np.zeros((len(numbers), len(names)), np.int64)
    rows, columns = np.searchsorted(numbers, bars), np.searchsorted(names, steps)
    np.add.at(has, (rows, columns), 1)
    share = (has > 0).mean(0)
    common = share >= 0.5
    shared, either = ((has > 0) & common).sum(1), ((has > 0) | common).sum(1)
    is_usual = (shared >= ALIKE * np.maximum(1, either)) | (either - shared <= FEW_CHANGES)
    wrong, doubled, explained = list[Check](), list[Check](), set[tuple[int, int]]()
    for at, (row, column) in enumerate(zip(rows.tolist(), columns.tolist(), strict=True)):
        if not is_usual[row]:
            continue
        place = int(leads[at])
        if share[column] <= SELDOM:
            beside = [
                each
                for each in (column - 1, column + 1)
                if 0 <= each < len(names) and share[each] >= USUALLY and not has[row, each]
            ]
            if beside and len(wrong) < MOST:
                to = min(beside, key=lambda each: abs(int(names[each] - names[column])))
                explained.add((row, to))
                wrong.append(_wrong_line(targets, place, names[to] / 96 + metre.beat_of(numbers[row]), metre))
        elif (
            len(doubled) < MOST
            and has[row, column] > 1
            and (has[:, column] > 1).mean() <= SELDOM
            and _is_weaker(targets, leads, at)
        ):
            doubled.append(_doubled(targets, place, metre))
    missing = _missing(
        targets, recording, counts, take, metre, (has, share, is_usual, numbers, names), explained
    )
    return (
        CheckGroup(Kind.WRONG_LINE, tuple(wrong)),
        CheckGroup(Kind.DOUBLED, tuple(doubled)),
        CheckGroup(Kind.MISSING, tuple(missing)),
    )


def _is_weaker(targets: Targets, leads: NDArray[np.int64], at: int) -> bool:
    """Whether of the hits at one line this is not the one that takes it."""
    place = leads[at]
    same = leads[np.abs(targets.steps[leads] - targets.steps[place]) < 1e-6]
    return bool(place != same[np.abs(targets.drift[same]).argmin()])


def _wrong_line(targets: Targets, place: int, line: float, metre: MetreMap) -> Check:
    here, there = (hit_words(beat, metre) for beat in (float(targets.steps[place]), line))
    off = (float(targets.fitted_beats[place]) - line) / max(_beats_per_frame(targets, place), 1e-12)
    milliseconds = 1000 * off / targets.rate
    side = "late" if milliseconds > 0 else "early"
    return Check(
        int(targets.onsets[place]),
        float(targets.steps[place]),
        int(targets.played[place]),
        tr("unusual line"),
        tr("{0:.0f} ms", abs(milliseconds)),
        tr(
            "at {0}; in nearly every bar at {1},\n{2:.0f} ms {3} of that",
            here,
            there,
            abs(milliseconds),
            side,
        ),
        kind=Kind.WRONG_LINE,
        mends=(Fix(tr("Move to {0}", there), Do.MOVE, int(targets.onsets[place]), line),),
    )


def _doubled(targets: Targets, place: int, metre: MetreMap) -> Check:
    off = float(targets.drift[place])
    return Check(
        int(targets.onsets[place]),
        float(targets.steps[place]),
        int(targets.played[place]),
        tr("two hits on one line"),
        tr("{0:.0f} ms", abs(off)),
        tr(
            "second hit at {0};\nother bars have one",
            hit_words(float(targets.steps[place]), metre),
        ),
        kind=Kind.DOUBLED,
        mends=(Fix(tr("Delete the onset"), Do.DROP, int(targets.onsets[place])),),
    )


def _missing(  # noqa: PLR0917 - all that says so
    targets: Targets,
    recording: Recording,
    counts: NDArray[np.bool_],
    take: Take,
    metre: MetreMap,
    pattern: tuple[
        NDArray[np.int64], NDArray[np.float64], NDArray[np.bool_], NDArray[np.int64], NDArray[np.int64]
    ],
    explained: set[tuple[int, int]],
) -> list[Check]:
    """Steps that nearly every bar has, where this one has something faint only."""
    has, share, is_usual, numbers, names = pattern
    onsets, rate = recording.onsets, targets.rate
    hidden = np.flatnonzero(
        ~counts & (onsets.frame_array >= take.source_start) & (onsets.frame_array < take.source_end)
    )
    if not len(hidden) or len(targets) < 2:
        return []
    played = take.start + at_other_rate(onsets.frame_array[hidden] - take.source_start, recording.rate, rate)
    beats = np.interp(played, targets.played, targets.fitted_beats)
    gap = float(np.diff(names).min()) / 96 if len(names) > 1 else 1.0
    found = []
    for row, column in zip(
        *np.nonzero((has == 0) & (share >= NEARLY_ALWAYS) & is_usual[:, None]), strict=True
    ):
        beat = float(names[column] / 96 + metre.beat_of(numbers[row]))
        near = np.flatnonzero(np.abs(beats - beat) <= EXPECTED * gap)
        is_inside = targets.fitted_beats[0] <= beat <= targets.fitted_beats[-1]
        if (int(row), int(column)) in explained or not len(near) or not is_inside:
            continue
        best = int(near[onsets.strength_array[hidden[near]].argmax()])
        onset, strength = int(onsets.id_array[hidden[best]]), float(onsets.strength_array[hidden[best]])
        found.append(
            Check(
                onset,
                beat,
                int(played[best]),
                tr("missing hit"),
                f"{strength:.0f}",
                tr(
                    "nearly every bar has a hit at {0};\nhere a faint one, strength {1:.0f}",
                    hit_words(beat, metre),
                    strength,
                ),
                kind=Kind.MISSING,
                mends=(Fix(tr("Keep the onset"), Do.KEEP, onset),),
            )
        )
    return found


def _lacking(
    session: Session, group: LockGroup, track: Track, take: Take, targets: Targets
) -> list[CheckGroup]:
    """Strong hits of the guide that a track locked to it does not have, though it has nearly all of them."""
    parts = []
    for each in group.tracks:
        other = session.track(each)
        beside = session.beside(other, take) if each != track.id else None
        if beside is not None:
            recording, counts = session.recording_of(beside), counted_of(session, beside)
            parts.append(_lacks(targets, recording, counts, beside, other.name, session.metre))
    return parts


@by_identity(64)
def _lacks(  # noqa: PLR0917 - found again by the identity of each
    targets: Targets, recording: Recording, counts: NDArray[np.bool_], take: Take, name: str, metre: MetreMap
) -> CheckGroup:
    frames = recording.onsets.frame_array[counts]
    there = take.start + at_other_rate(frames - take.source_start, recording.rate, targets.rate)
    strong = np.flatnonzero(targets.strengths >= STRONG)
    if not len(there) or not len(strong):
        return CheckGroup(Kind.LACKS, ())
    after = np.minimum(np.searchsorted(there, targets.played[strong]), len(there) - 1)
    away = np.minimum(
        np.abs(there[after] - targets.played[strong]),
        np.abs(there[np.maximum(after - 1, 0)] - targets.played[strong]),
    )
    lacks = away > LACKED_SECONDS * targets.rate
    if lacks.mean() > 1 - MOSTLY_THERE:
        return CheckGroup(Kind.LACKS, ())
    checks = tuple(
        Check(
            int(targets.onsets[at]),
            float(targets.steps[at]),
            int(targets.played[at]),
            tr("missing in {0}", name),
            f"{targets.strengths[at]:.0f}",
            tr(
                "strong hit at {0};\nnone in {1}",
                hit_words(float(targets.steps[at]), metre),
                name,
            ),
            kind=Kind.LACKS,
        )
        for at in strong[lacks].tolist()
    )
    return CheckGroup(Kind.LACKS, checks)
