"""Slices -> rows: a take that was taken apart, each of its hits where it is placed, as it was shaped."""

from dataclasses import dataclass, replace
from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.stretch.engines import ENGINES, EngineName, MoveBy, engine_of
from chronotome.dsp.stretch.segment import PLAIN, Shape
from chronotome.session.anchors import Anchors
from chronotome.session.bends import bent
from chronotome.session.grid import TempoMap
from chronotome.session.memo import MANY, by_identity
from chronotome.session.model import Recording, Take, rearranged
from chronotome.session.runs import Column, Laying, Runs
from chronotome.session.score import NO_HIT, Score, Together, joined, mirrored
from chronotome.session.settings import Moving
from chronotome.session.targets import Targets
from chronotome.units import Frames, at_other_rate

RISE_SECONDS, FALL_SECONDS = 0.002, 0.003
"""Over which a hit comes in before its attack, out of what sounds there, and goes out at its end."""


@dataclass(frozen=True, eq=False)
class Sliced:
    """The rows of a take that was taken apart, and where each slice is heard."""

    score: Score
    starts: Frames
    """Session frames, one per slice, as `ends`; where both are the same it is not heard."""
    ends: Frames
    frames: int
    """Of what was taken apart that sound as played, at the session's rate."""


@by_identity(MANY)
def sliced(  # noqa: PLR0917 - found again by the identity of each
    take: Take,
    recording: Recording,
    anchors: Anchors,
    targets: Targets,
    gains: NDArray[np.float64] | None,
    engine: EngineName,
    moving: Moving,
    tempo: TempoMap,
    rate: int,
    together: Together,
) -> Sliced:
    """Rows of a take that was taken apart.

    Parameters
    ----------
    take : Take
        With slices.
    recording : Recording
        As it is, not as the slices lay it out.
    anchors, targets, gains
        What Tighten makes of it as it is laid out; gains in dB, one a target.
    """
    slices = take.slices
    if slices is None:
        raise ValueError("a take that is whole has no slices")
    stretching = engine_of(MoveBy.STRETCHING, moving.keeps, recording.material)
    laying = Laying(slices, recording.frames, recording.rate, rate, anchors, stretching)
    runs, starts, ends = laying.runs(tempo)
    if len(runs.first):
        made = _SliceRows(take, recording, laying, runs, engine, moving)
        score = made.score(targets, gains, together)
    else:
        score = _silence(take, laying, engine)
    if anchors.axis is not None:
        starts, ends, score = anchors.axis - ends, anchors.axis - starts, mirrored(score, anchors.axis)
    first, last = (
        max(laying.first_frame, int(anchors.source[0])),
        min(laying.last_frame, int(anchors.source[-1])),
    )
    return Sliced(score, starts, ends, max(1, last - first))


def _silence(take: Take, laying: Laying, engine: EngineName) -> Score:
    """One row of a frame that nobody hears: what is left of a take without hits."""
    source, heard = np.array([0, 1]), laying.anchors.landed[0] + np.array([0, 1])
    return replace(joined(take.recording, laying.rate, engine, source, heard), gains=np.zeros((1, 2)))


class _Rows(NamedTuple):
    """Rows of runs, as they were recorded; frames as in a score, `laid` as the slices lay them out."""

    run: Frames
    laid: Frames
    start: Frames
    end: Frames
    heard: Frames
    length: Frames
    joins: NDArray[np.bool_]
    shapes: NDArray[np.object_]
    is_bent: NDArray[np.bool_]
    """Which are not as recorded though they are as long."""

    def cut_at(self, laid: Frames, may: NDArray[np.bool_]) -> "_Rows":
        """With rows that are as recorded cut where something begins that may be louder."""
        span, laid = self.end - self.start, np.sort(laid)
        laid = laid[np.append(True, laid[1:] > laid[:-1])]
        may = may & (span == self.length) & ~self.is_bent
        low = laid.searchsorted(self.laid, "right")
        cuts = np.where(may, np.maximum(0, laid.searchsorted(self.laid + span, "left") - low), 0)
        if not cuts.any():
            return self
        row = np.repeat(np.arange(len(span)), cuts + 1)
        number = np.arange(len(row)) - np.repeat(np.cumsum(cuts + 1) - cuts - 1, cuts + 1)
        at = np.clip(low[row] + number - 1, 0, len(laid) - 1)
        begins = np.where(number > 0, laid[at] - self.laid[row], 0)
        is_last = number == cuts[row]
        until = np.where(is_last, span[row], np.append(begins[1:], 0))
        return _Rows(
            self.run[row],
            self.laid[row] + begins,
            self.start[row] + begins,
            np.where(is_last, self.end[row], self.start[row] + until),
            self.heard[row] + begins,
            np.where(may[row], until - begins, self.length[row]),
            np.where(is_last, self.joins[row], True),
            self.shapes[row],
            self.is_bent[row],
        )


class _SliceRows:
    """The rows of one take."""

    def __init__(  # noqa: PLR0917 - what a take is heard by
        self,
        take: Take,
        recording: Recording,
        laying: Laying,
        runs: Runs,
        engine: EngineName,
        moving: Moving,
    ) -> None:
        self._take, self._recording, self._laying, self._runs = take, recording, laying, runs
        self._engine, self._moving, self._rate = engine, moving, laying.rate

    def score(self, targets: Targets, gains: NDArray[np.float64] | None, together: Together) -> Score:
        rows = self._rows()
        if self._runs.rings.any():
            rows = self._rung(rows)
        if gains is not None or self._laying.shape.loudness.any() or self._laying.shape.pans.any():
            rows = self._cut_where_loudness_changes(rows, targets, gains)
        return self._finished(rows, targets, gains, together)

    def _rows(self) -> _Rows:
        """Between anchors, within each run."""
        runs, laying = self._runs, self._laying
        axis, away = runs.axis, runs.axis - runs.laid
        source, heard, is_hard = self._anchored()
        shapes: tuple[Shape, ...] = ()
        if ENGINES[self._engine].bends:
            speeds = np.asarray(2 ** ((runs.semitones + self._moving.semitones) / 12))
            offset = laying.anchors.offset
            source, heard, shapes = bent(source, heard, is_hard, offset, self._rate, (axis, speeds))
        run = np.maximum(axis.searchsorted(source[:-1], "right") - 1, 0)
        inside = source[:-1] < (axis + runs.length)[run]  # else it is between two runs
        run = run[inside]
        start, end = source[:-1][inside] - axis[run], source[1:][inside] - axis[run]
        begins = heard[:-1][inside] - away[run]
        ends = heard[1:][inside] - away[run]
        return _Rows(
            run,
            runs.laid[run] + start,
            runs.start[run] + start,
            runs.start[run] + end,
            begins,
            np.maximum(1, ends - begins),
            (end < runs.length[run]) | self._leads_on()[run],
            *_shaped([shapes[at] for at in np.flatnonzero(inside).tolist()] if shapes else [], len(run)),
        )

    def _leads_on(self) -> NDArray[np.bool_]:
        """Which runs end in what sounds just before the next attack, as they did when that was not moved.

        So what is done to a hit renders nothing of the one before it.
        """
        return ~(self._is_own_end() | self._runs.has_engine | (self._runs.rings > 0) | self._runs.is_one_row)

    def _anchored(self) -> tuple[Frames, Frames, NDArray[np.bool_]]:
        """Anchors of all runs one after another on their axis, where they are heard there, which are hard."""
        runs, known = self._runs, self._laying.anchors
        inner, landed = known.source[1:-1], known.landed[1:-1]
        low, high = inner.searchsorted(runs.laid, "right"), inner.searchsorted(runs.laid + runs.length)
        counts = np.where(runs.is_one_row, 0, np.maximum(0, high - low))
        run = np.repeat(np.arange(len(low)), counts)
        at = np.repeat(low - np.cumsum(counts) + counts, counts) + np.arange(counts.sum())
        owners = self._owners_of(inner)[at]
        own = (owners < 0) | ((owners >= runs.first[run]) & (owners <= runs.last[run]))
        run, at = run[own], at[own]
        later, away = runs.begins - self._laying.heard(runs.laid), runs.axis - runs.laid
        is_hard = np.ones(len(inner), np.bool_) if known.attacks is None else known.attacks[1:-1]
        begins, ends = runs.begins + away, runs.ends + away
        heard = landed[at] + later[run] + away[run]
        rises = (heard > begins[run]) & (heard < ends[run])
        run, at, heard = run[rises], at[rises], heard[rises]
        every, hard = np.arange(len(low)), np.ones(len(low), np.bool_)
        source = np.concatenate([runs.axis, inner[at] + away[run], runs.axis + runs.length])
        order = np.lexsort((source, np.concatenate([every, run, every])))
        return (
            source[order],
            np.concatenate([begins, heard, ends])[order],
            np.concatenate([hard, is_hard[at], hard])[order],
        )

    def _owners_of(self, frames: Frames) -> Frames:
        """The slice that each onset at a frame as laid out belongs to; -1 where there is none."""
        take, offset = self._take, self._laying.anchors.offset
        if take.slices is None or not len(frames):
            return np.full(len(frames), -1)
        laid_out = rearranged(self._recording, take.slices)
        from_start = laid_out.recording.onsets.frame_array - take.source_start
        onsets = take.start + offset + at_other_rate(from_start, self._recording.rate, self._rate)
        if not len(onsets):
            return np.full(len(frames), -1)
        at = np.minimum(onsets.searchsorted(frames), len(onsets) - 1)
        return np.where(onsets[at] == frames, laid_out.owners[at], -1)

    def _rung(self, rows: _Rows) -> _Rows:
        """With the last slice of some runs ringing on by itself."""
        runs = self._runs
        rows = rows.cut_at(self._laying.laid, (runs.rings > 0)[rows.run])
        is_end = np.append(rows.run[1:] != rows.run[:-1], True)
        longer = np.where(is_end, runs.rings[rows.run], 0)
        shapes = rows.shapes.copy()
        for at in np.flatnonzero(longer).tolist():
            shapes[at] = shapes[at]._replace(engine=EngineName.CUTTING)
        self._runs = replace(runs, ends=runs.ends + runs.rings)
        return rows._replace(length=rows.length + longer, shapes=shapes)

    def _cut_where_loudness_changes(
        self, rows: _Rows, targets: Targets, gains: NDArray[np.float64] | None
    ) -> _Rows:
        runs, laying = self._runs, self._laying
        is_as_recorded = runs.semitones + self._moving.semitones == 0
        is_as_recorded &= ~laying.is_reversed[runs.first] & ~laying.is_toned[runs.first]
        hits = targets.played + laying.anchors.offset
        cuts = laying.laid if gains is None else np.concatenate([laying.laid, hits])
        return rows.cut_at(cuts, is_as_recorded[rows.run])

    def _levels(self, rows: _Rows, hits: Frames, gains: NDArray[np.float64] | None) -> Column:
        """(rows, 2): how loud each is left and right."""
        runs, shape = self._runs, self._laying.shape
        of = self._laying.laid.searchsorted(rows.laid, "right") - 1
        of = np.clip(of, runs.first[rows.run], runs.last[rows.run])
        loudness = shape.loudness[of] + runs.loudness[rows.run]
        if gains is not None and len(hits):
            at = hits.searchsorted(rows.laid, "right") - 1
            loudness = loudness + np.where(at >= 0, gains[np.maximum(at, 0)], 0.0)
        pans = np.clip(shape.pans[of] + runs.pans[rows.run], -1.0, 1.0)
        sides = np.stack([np.minimum(1.0, 1.0 - pans), np.minimum(1.0, 1.0 + pans)], axis=1)
        return np.asarray(sides * (10 ** (loudness / 20))[:, None])

    def _finished(
        self, rows: _Rows, targets: Targets, gains: NDArray[np.float64] | None, together: Together
    ) -> Score:
        runs, laying = self._runs, self._laying
        hits = targets.played + laying.anchors.offset
        levels = self._levels(rows, hits, gains)
        goes_on = np.append(rows.run[1:] == rows.run[:-1], False)
        following = np.concatenate([levels[1:], levels[-1:]])
        onset = np.full(len(rows.run), NO_HIT)
        if len(hits):
            at = np.minimum(hits.searchsorted(rows.laid), len(hits) - 1)
            onset = np.where(hits[at] == rows.laid, targets.onsets[at], NO_HIT)
        rises, falls = self._edges(rows)
        columns = {
            "run": rows.run,
            "start": rows.start,
            "end": rows.end,
            "heard": rows.heard,
            "length": rows.length,
            "onset": onset,
            "gains": levels,
            "semitones": (runs.semitones + self._moving.semitones)[rows.run],
            "is_reversed": np.zeros(len(rows.run), np.bool_),
            "rises": rises,
            "falls": falls,
            "joins": rows.joins,
            "ending": np.where(goes_on[:, None], following, levels),
        }
        more = self._leads(rows, levels)
        columns = {name: np.concatenate([column, more[name]]) for name, column in columns.items()}
        run = columns.pop("run")
        _turn(columns, laying.is_reversed[runs.first[run]], (runs.begins + runs.ends)[run])
        order = np.argsort(columns["heard"], kind="stable")
        shapes, is_plain = self._shapes(rows)
        leads, _ = _shaped([], len(order) - len(rows.run))
        return Score(
            self._rate,
            self._engine,
            (self._take.recording,),
            np.zeros(len(order), np.int64),
            together=together,
            shapes=() if is_plain else tuple(np.concatenate([shapes, leads])[order].tolist()),
            keeps_formants=self._moving.keeps_formants and bool(columns["semitones"].any()),
            **{name: column[order] for name, column in columns.items()},
        )

    def _shapes(self, rows: _Rows) -> tuple[NDArray[np.object_], bool]:
        """As rows are bent, with what renders each where that is another engine, and how bright it is.

        And whether nothing is in particular in any of them.
        """
        runs, gap = self._runs, self._moving.gap
        slices = self._laying.slices
        special = np.flatnonzero((runs.has_engine | self._laying.is_toned[runs.first])[rows.run])
        shapes = rows.shapes.copy() if len(special) else rows.shapes
        for at in special.tolist():
            run = int(rows.run[at])
            engine = shapes[at].engine or runs.engines[run]
            shapes[at] = shapes[at]._replace(
                engine=engine, tone=slices.tone_at(int(runs.first[run])), gap=gap
            )
        is_plain = not len(special) and not ENGINES[self._engine].bends and not runs.rings.any()
        return shapes, is_plain

    def _edges(self, rows: _Rows) -> tuple[Frames, Frames]:
        """Session frames between which rows come in and go out: fades of their own, and cut ends."""
        runs, laying = self._runs, self._laying
        length = runs.ends - runs.begins
        rise = np.rint(laying.fade_ins[runs.first] * self._rate / 1000).astype(np.int64)
        fall = np.rint(laying.fade_outs[runs.last] * self._rate / 1000).astype(np.int64)
        soft = np.minimum(round(FALL_SECONDS * self._rate), length // 2)
        fall = np.maximum(fall, np.where(self._is_own_end(), 0, soft))
        rise, fall = np.minimum(rise, length), np.minimum(fall, length)
        rises = np.stack([runs.begins, runs.begins + rise], axis=1)[rows.run]
        falls = np.stack([runs.ends - fall, runs.ends], axis=1)[rows.run]
        rises[rows.heard >= rises[:, 1]] = 0
        falls[rows.heard + rows.length <= falls[:, 0]] = 0
        return rises, falls

    def _is_own_end(self) -> NDArray[np.bool_]:
        """Which runs end where the recording does, or the part that was taken apart, where it was."""
        runs, laying = self._runs, self._laying
        end = runs.start + runs.length
        is_placed = runs.laid + runs.length == laying.last_frame
        is_plain = (runs.rings == 0) & ~runs.has_engine
        is_end: NDArray[np.bool_] = (end == laying.total) | ((end == laying.last_frame) & is_placed)
        return is_plain & is_end

    def _leads(self, rows: _Rows, levels: Column) -> dict[str, Column]:
        """More rows: what sounds just before attacks, as they come in; where they were cut it is heard."""
        runs, laying = self._runs, self._laying
        is_first = (runs.start == laying.first_frame) & (runs.laid == laying.first_frame)
        leads = ~is_first & (laying.fade_ins[runs.first] == 0)
        before = np.minimum(np.minimum(round(RISE_SECONDS * self._rate), runs.start), runs.begins)
        at = np.flatnonzero((rows.start == runs.start[rows.run]) & (leads & (before > 0))[rows.run])
        count, lead, start = len(at), before[rows.run[at]], rows.start[at]
        heard = rows.heard[at] - lead
        return {
            "run": rows.run[at],
            "start": start - lead,
            "end": start,
            "heard": heard,
            "length": lead,
            "onset": np.full(count, NO_HIT),
            "gains": levels[at],
            "semitones": np.zeros(count),
            "is_reversed": np.zeros(count, np.bool_),
            "rises": np.stack([heard, heard + lead], axis=1),
            "falls": np.zeros((count, 2), np.int64),
            "joins": np.ones(count, np.bool_),
            "ending": levels[at],
        }


def _turn(columns: dict[str, Column], is_turned: NDArray[np.bool_], axis: Frames) -> None:
    """Let reversed slices sound from their ends to their starts, where they are."""
    if not is_turned.any():
        return
    turned = axis - columns["heard"] - columns["length"]
    columns["heard"] = np.where(is_turned, np.maximum(0, turned), columns["heard"])
    columns["is_reversed"] = is_turned
    rises, falls = columns["rises"], columns["falls"]
    for name, own, other in (("rises", rises, falls), ("falls", falls, rises)):
        has = other[:, 1:] > other[:, :1]
        columns[name] = np.where(is_turned[:, None], np.where(has, axis[:, None] - other[:, ::-1], 0), own)


def _shaped(shapes: list[Shape], count: int) -> tuple[NDArray[np.object_], NDArray[np.bool_]]:
    """Shapes of rows, plain where there are none, and which of them are bent."""
    column, is_bent = np.empty(count, np.object_), np.zeros(count, np.bool_)
    column.fill(PLAIN)
    if shapes:
        for at, shape in enumerate(shapes):
            column[at] = shape
        is_bent[:] = [bool(shape.bends or any(shape.shifts)) for shape in shapes]
    return column, is_bent
