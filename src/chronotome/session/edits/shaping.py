"""Edits of what hits of a clip are like: their values, rolls and scatters."""

from collections.abc import Iterable, Mapping

import numpy as np
from numpy.typing import NDArray

from chronotome.session.edits.hits import Ids, changed, clip_at, each_with_rate
from chronotome.session.edits.slicing import Place, change_slices
from chronotome.session.grid import TempoMap
from chronotome.session.model import Session, Take, replace
from chronotome.session.runs import roll_edges, roll_ramps, shaped
from chronotome.session.slices import VALUES, Lengthen, Roll, Scatter, SliceId, Slices


def set_value(session: Session, place: Place, name: str, values: Mapping[SliceId, float]) -> Session:
    """Set one of the values of slices: `VALUES` names them; start and length are in seconds."""
    column = VALUES[name]

    def change(slices: Slices, at: list[int], rate: int) -> Slices:
        scale = rate if column.in_frames else 1
        held = [column.held(values[slices.ids[each]] * scale) for each in at]
        return slices.with_values(
            column.name, at, [round(each) if column.in_frames else round(each, 4) for each in held]
        )

    return each_with_rate(session, place, list(values), change)


def values_of(session: Session, take: Take, name: str) -> NDArray[np.float64]:
    """One of the values of all slices; start and length in seconds, a length that nobody set as it is."""
    if take.slices is None:
        return np.zeros(0)
    column, rate = VALUES[name], session.recording_with(take.recording).rate
    if column.name == "lengths":
        return take.slices.spans / rate
    values = take.slices.column(column.name).astype(np.float64)
    return values / rate if column.in_frames else values


def set_flag(session: Session, place: Place, ids: Ids, name: str, *, value: bool) -> Session:
    """Set `reversed` or `by_tape` of slices."""
    return changed(session, place, ids, lambda slices, at: slices.with_values(name, at, [value] * len(at)))


def set_lengthened(session: Session, place: Place, ids: Ids, how: Lengthen) -> Session:
    """What becomes of slices of which a person said how long they are."""

    def change(slices: Slices, at: list[int]) -> Slices:
        some = [each for each in at if slices.column("lengths")[each]]
        return slices.with_values("lengthened", some, [int(how)] * len(some)) if some else slices

    return changed(session, place, ids, change)


def as_recorded(session: Session, place: Place, ids: Ids) -> Session:
    """Forget how slices were shaped; they stay where they are."""
    return changed(session, place, ids, lambda slices, at: slices.as_usual(at))


def set_fills(session: Session, place: Place, *, fills: bool) -> Session:
    """Let what sounds before emptied places ring on in them, or leave them silent."""
    return change_slices(
        session, place, lambda slices: slices if slices.fills == fills else replace(slices, fills=fills)
    )


def set_roll(session: Session, place: Place, ids: Ids, roll: Roll | None) -> Session:
    """Let slices be rolls; None: single hits again."""
    return _set_numbered(session, place, ids, ("rolls", "rolled"), roll)


def set_scatter(session: Session, place: Place, ids: Ids, scatter: Scatter | None) -> Session:
    """Spread the values of slices; None: as they are by themselves."""
    return _set_numbered(session, place, ids, ("scatters", "scattered"), scatter)


def _set_numbered(
    session: Session, place: Place, ids: Ids, names: tuple[str, str], value: Roll | Scatter | None
) -> Session:
    """Name an entry of a table in a column."""
    table, column = names

    def change(slices: Slices, at: list[int]) -> Slices:
        number = 0
        if value is not None:
            slices, number = slices.in_table(table, value)
        return slices.with_values(column, at, [number] * len(at))

    return changed(session, place, ids, change)


def roll_of(slices: Slices, ids: Iterable[SliceId]) -> Roll | None:
    """The roll of the first of some slices."""
    return next(
        (slices.rolls[slices.rolled[at] - 1] for at in slices.at(ids) if slices.column("rolled")[at]), None
    )


def scatter_of(slices: Slices, ids: Iterable[SliceId]) -> Scatter | None:
    """The scatter of the first of some slices."""
    column = slices.column("scattered")
    return next((slices.scatters[int(column[at]) - 1] for at in slices.at(ids) if column[at]), None)


def keep_scatter(session: Session, place: Place, ids: Ids) -> Session:
    """Write down what scatters drew as the values of hits; they are spread no more."""

    def change(slices: Slices, at: list[int], rate: int) -> Slices:
        drawn, spread = shaped(slices, rate), slices.column("scattered")
        at = [each for each in at if spread[each]]
        if not at:
            return slices
        for name, column in (
            ("loudness", drawn.loudness),
            ("pans", drawn.pans),
            ("semitones", drawn.semitones),
        ):
            slices = slices.with_values(name, at, np.round(column[at], 4).tolist())
        slices = slices.with_values("offsets", at, drawn.offsets[at].tolist())
        slices = slices.with_values("scattered", at, [0] * len(at))
        later = np.rint(drawn.timing[at] * rate).astype(np.int64)
        places = np.maximum(0, slices.place_array[at] + later).tolist()
        return slices.with_values("places", at, places)

    return each_with_rate(session, place, ids, change)


def roll_to_hits(session: Session, place: Place, ids: Ids) -> Session:
    """Let rolls be hits by themselves, which sound as the rolls did."""
    take = clip_at(session, place).take
    own = take.slices
    if own is None:
        return session
    tempo, start = session.tempo, take.start / session.rate

    def change(slices: Slices, at: list[int], rate: int) -> Slices:
        for which in [slices.ids[each] for each in at if slices.column("rolled")[each]]:
            slices = _single(slices, slices.at([which])[0], rate, tempo, start - take.source_start / rate)
        return slices

    return each_with_rate(session, place, ids, change)


def _single(slices: Slices, at: int, rate: int, tempo: TempoMap, seconds: float) -> Slices:
    """One roll as slices; `seconds` is where frame 0 of the recording is played."""
    roll = slices.rolls[slices.rolled[at] - 1]
    begin = round(seconds * rate) + slices.places[at]
    edges = roll_edges(roll, begin, begin + int(slices.spans[at]), tempo, rate) - begin
    count = len(edges) - 1
    ramps = roll_ramps(roll, count)
    slices = slices.with_values("rolled", [at], [0])
    lengths = np.minimum(np.diff(edges), slices.ends[at] - slices.starts[at])
    own, first = slices.ids[at], slices.next_id
    slices = slices.with_more(slices, [at] * (count - 1), (slices.places[at] + edges[1:-1]).tolist())
    every = slices.at([own, *range(first, first + count - 1)])
    for name, ramp in (("loudness", ramps.loudness), ("pans", ramps.pans), ("semitones", ramps.semitones)):
        column = slices.shaped[name]
        held = np.clip(slices.column(name)[every] + ramp, column.least, column.most)
        slices = slices.with_values(name, every, np.round(held, 4).tolist())
    slices = slices.with_values("lengthened", every, [0] * count)
    return slices.with_values("lengths", every, lengths.tolist())
