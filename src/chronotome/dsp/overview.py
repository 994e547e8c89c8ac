"""Minimum and maximum of the samples over fixed buckets, for drawing at any zoom."""

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve, Samples

Edges = NDArray[np.float64]
BUCKET = 256
COARSE = 16


class Overview:
    """Lows and highs of a recording, filled block by block while it is read.

    Invariants: bucket k covers frames k * BUCKET up to (k + 1) * BUCKET of all channels; buckets of frames
    that were not added are 0. One thread adds, others may read.
    """

    def __init__(self, frames: int) -> None:
        buckets = -(-max(frames, 1) // BUCKET)
        coarse = -(-buckets // COARSE)
        self.frames = frames
        self.lows = np.zeros(
            coarse * COARSE + 1, np.float32
        )  # one more than buckets: `reduceat` needs an end
        self.highs = np.zeros(coarse * COARSE + 1, np.float32)
        self.coarse_lows = np.zeros(coarse + 1, np.float32)
        self.coarse_highs = np.zeros(coarse + 1, np.float32)

    def add(self, start: int, samples: Samples) -> None:
        """Take in frames from `start`, which must be a multiple of BUCKET."""
        if start % BUCKET:
            raise ValueError(f"start must be a multiple of {BUCKET}, is {start}")
        if not len(samples):
            return
        cuts = np.arange(0, len(samples), BUCKET)
        first = start // BUCKET
        span = slice(first, first + len(cuts))
        lows, highs = _extremes(samples)
        self.lows[span] = np.minimum.reduceat(lows, cuts)
        self.highs[span] = np.maximum.reduceat(highs, cuts)
        low, high = first // COARSE, -(-span.stop // COARSE)
        inside = slice(low * COARSE, high * COARSE)
        self.coarse_lows[low:high] = self.lows[inside].reshape(-1, COARSE).min(axis=1)
        self.coarse_highs[low:high] = self.highs[inside].reshape(-1, COARSE).max(axis=1)

    def columns(self, edges: Edges) -> tuple[Curve, Curve]:
        """Lows and highs between neighbouring edges.

        Parameters
        ----------
        edges : float, shape (n + 1,), rising
            Frames; columns outside the recording are 0.

        Returns
        -------
        two float32 arrays, shape (n,)
            No sample between two edges is outside of them.
        """
        return self.spans(edges[:-1], edges[1:], (edges[-1] - edges[0]) / max(1, len(edges) - 1))

    def spans(self, begins: Edges, ends: Edges, per_column: float) -> tuple[Curve, Curve]:
        """The same of spans anywhere, about so many frames each."""
        if per_column >= 4 * BUCKET * COARSE:
            return self._reduced(begins, ends, BUCKET * COARSE, self.coarse_lows, self.coarse_highs)
        return self._reduced(begins, ends, BUCKET, self.lows, self.highs)

    def _reduced(
        self, begins: Edges, until: Edges, bucket: int, lows: Curve, highs: Curve
    ) -> tuple[Curve, Curve]:
        total = len(lows) - 1
        starts = np.floor(begins / bucket).astype(np.int64)
        ends = np.maximum(np.ceil(until / bucket).astype(np.int64), starts + 1)
        inside = (until > 0) & (begins < self.frames) & (starts < total)
        starts, ends = np.clip(starts, 0, total - 1), np.clip(ends, 1, total)
        pairs = np.stack([starts, ends], axis=1).ravel()
        low = np.minimum.reduceat(lows, pairs)[::2]
        high = np.maximum.reduceat(highs, pairs)[::2]
        return np.where(inside, low, np.float32(0)), np.where(inside, high, np.float32(0))


def _extremes(samples: Samples) -> tuple[Curve, Curve]:
    """Lowest and highest channel per frame; a loop over channels is ten times faster than an axis."""
    lows = highs = samples[:, 0]
    for channel in range(1, samples.shape[1]):
        lows, highs = np.minimum(lows, samples[:, channel]), np.maximum(highs, samples[:, channel])
    return lows, highs


def overview_of(samples: Samples) -> Overview:
    overview = Overview(len(samples))
    overview.add(0, samples)
    return overview


def columns_of(samples: Samples, edges: Edges) -> tuple[Curve, Curve]:
    """Like `Overview.columns`, from the samples themselves; for zooms below a bucket per column."""
    return spans_of(samples, edges[:-1], edges[1:])


def spans_of(samples: Samples, begins: Edges, until: Edges) -> tuple[Curve, Curve]:
    """The same of spans that are near one another: all between the first and the last is looked at."""
    total = len(samples)
    starts = np.floor(begins).astype(np.int64)
    ends = np.maximum(np.ceil(until).astype(np.int64), starts + 1)
    inside = (ends > 0) & (starts < total)
    low, high = max(0, int(starts.min())), min(total, int(ends.max()))
    if high <= low:
        nothing = np.zeros(len(starts), np.float32)
        return nothing, nothing
    span = samples[low:high]
    lows, highs = _extremes(span)
    lows, highs = np.append(lows, np.float32(0)), np.append(highs, np.float32(0))
    pairs = np.stack(
        [np.clip(starts - low, 0, len(span) - 1), np.clip(ends - low, 1, len(span))], axis=1
    ).ravel()
    return (
        np.where(inside, np.minimum.reduceat(lows, pairs)[::2], np.float32(0)),
        np.where(inside, np.maximum.reduceat(highs, pairs)[::2], np.float32(0)),
    )
