"""The wave of a track: all of its clips, each as loud as it is heard; hits where they are heard."""

from collections.abc import Mapping, Sequence

import numpy as np
from numpy.typing import NDArray

from chronotome.bridge.bands import Bands
from chronotome.dsp.audio import Curve
from chronotome.dsp.overview import BUCKET
from chronotome.dsp.stretch.engines import ENGINES
from chronotome.render.mix import Side
from chronotome.render.pool import Source
from chronotome.session.limits import ContentHash
from chronotome.session.score import Score
from chronotome.ui.state.shown import Shown
from chronotome.ui.timeline.waveform import FINE, columns, near_spans

Edges = NDArray[np.float64]
UNSEEN = 0.25
"""Of a column: a row that is shorter is not drawn."""


def track_columns(
    clips: Sequence[Shown], sources: Mapping[ContentHash, Source], edges: Edges, bands: Bands
) -> tuple[Curve, Curve]:
    """Lows and highs between screen edges; where clips overlap, what reaches farther."""
    everything = sources
    lows, highs = (np.zeros(len(edges) - 1, np.float32) for _ in range(2))
    for shown in clips:
        sources = bands.heard(everything, shown.take) if shown.side is Side.EDITED else everything
        source, heard = sources.get(shown.recording.content), shown.heard_anchors
        if (source is None and shown.take.playing is None) or heard[-1] <= edges[0] or heard[0] >= edges[-1]:
            continue
        first = max(0, int(edges.searchsorted(heard[0], "right")) - 1)
        last = min(len(lows), int(edges.searchsorted(heard[-1], "left")))
        here, part = edges[first : last + 1], slice(first, last)
        middles = (here[1:] + here[:-1]) / 2
        rows = shown.rows
        if rows is not None:
            low, high = row_columns(shown, rows, sources, here)
            gain = shown.edge_gains(middles)
        elif source is not None:
            low, high = columns(source, *shown.under(here))
            gain = shown.gains(middles)
        np.minimum(lows[part], low * gain, out=lows[part])
        np.maximum(highs[part], high * gain, out=highs[part])
    return lows, highs


def row_columns(
    shown: Shown, score: Score, sources: Mapping[ContentHash, Source], edges: Edges
) -> tuple[Curve, Curve]:
    """Lows and highs of a score, row by row: reversed, faded, as loud as each is."""
    window, rows = shown.plan.window, shown.plan.rows_of(score)
    lows, highs = (np.zeros(len(edges) - 1, np.float32) for _ in range(2))
    begins = np.maximum(score.heard[rows], window.start)
    ends = np.minimum(score.heard[rows] + score.length[rows], window.end)
    first = np.maximum(0, edges.searchsorted(begins, "right") - 1)
    counts = np.maximum(0, np.minimum(len(lows), edges.searchsorted(ends, "left")) - first)
    counts[(ends <= edges[0]) | (begins >= edges[-1])] = 0
    counts[ends - begins < UNSEEN * (edges[1] - edges[0])] = 0
    if not counts.any():
        return lows, highs
    at = np.repeat(np.arange(rows.start, rows.stop), counts)
    column = np.repeat(first - np.cumsum(counts) + counts, counts) + np.arange(counts.sum())
    heard, length = score.heard[at], score.length[at]
    low, high = (np.clip(edges[column + side] - heard, 0, length) for side in (0, 1))
    low, high = _read(score, at, low, high)
    gain = _row_gains(score, at, (edges[column] + edges[column + 1]) / 2, edges[1] - edges[0])
    for number in np.unique(score.recording[at]).tolist():
        source = sources.get(score.recordings[number])
        if source is not None:
            some = np.flatnonzero(score.recording[at] == number)
            found = _extremes(source, low[some], high[some])
            np.minimum.at(lows, column[some], found[0] * gain[some])
            np.maximum.at(highs, column[some], found[1] * gain[some])
    return lows, highs


def _read(score: Score, at: NDArray[np.int64], low: Edges, high: Edges) -> tuple[Edges, Edges]:
    """Source frames between frames of rows: what is cut stays as long as it is, its tail goes to and fro."""
    start, span, length = score.start[at], (score.end - score.start)[at], score.length[at]
    turned = score.is_reversed[at]
    low, high = np.where(turned, length - high, low), np.where(turned, length - low, high)
    is_cut = np.full(len(score), ENGINES[score.engine].fills_gaps)
    if score.shapes:
        is_cut = np.array([ENGINES[each.engine or score.engine].fills_gaps for each in score.shapes])
    ratio = np.where(is_cut[at], 1.0, span / length)
    low, high = low * ratio, high * ratio
    beyond = low >= span
    if beyond.any():
        back = np.maximum(1.0, np.minimum(span / 2, BUCKET * 16.0))
        low = np.where(beyond, span - back, low)
        high = np.where(beyond, span, np.minimum(high, span))
    return np.asarray(start + low, np.float64), np.asarray(start + np.maximum(high, low), np.float64)


def _extremes(source: Source, low: Edges, high: Edges) -> tuple[Curve, Curve]:
    """Of spans of a recording; from the samples themselves where these are finer than the overview."""
    per_column = float(np.median(high - low))
    near = float(high.max() - low.min()) < FINE * BUCKET * len(low) * 4
    found = None
    if per_column < FINE * BUCKET and source.is_whole and near:
        found = near_spans(source, low, high)
    return found or source.overview.spans(low, high, per_column)


def _row_gains(score: Score, at: NDArray[np.int64], frames: Edges, column: float) -> Curve:
    """How loud rows are at frames; a fade that lies within one column is not seen."""
    gain = score.gains[at].max(axis=1)
    for edges, is_out in ((score.rises, False), (score.falls, True)):
        seen = np.flatnonzero((edges[:, 1] - edges[:, 0] > UNSEEN * column)[at])
        if not len(seen):
            continue
        begin, end = edges[at[seen], 0], edges[at[seen], 1]
        share = np.clip((frames[seen] - begin) / (end - begin), 0.0, 1.0)
        gain[seen] *= np.cos(np.pi / 2 * share) if is_out else np.sin(np.pi / 2 * share)
    return np.asarray(gain, np.float32)
