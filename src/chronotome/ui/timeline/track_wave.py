"""The wave of a track: all of its clips, each as loud as it is heard."""

from collections.abc import Mapping, Sequence

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Curve
from chronotome.render.pool import Source
from chronotome.session.limits import ContentHash
from chronotome.ui.timeline.shown import Shown
from chronotome.ui.timeline.waveform import columns


def track_columns(
    clips: Sequence[Shown], sources: Mapping[ContentHash, Source], edges: NDArray[np.float64]
) -> tuple[Curve, Curve]:
    """Lows and highs between screen edges; where clips overlap, what reaches farther."""
    lows, highs = (np.zeros(len(edges) - 1, np.float32) for _ in range(2))
    for shown in clips:
        source, heard = sources.get(shown.recording.content), shown.heard_anchors
        if source is None or heard[-1] <= edges[0] or heard[0] >= edges[-1]:
            continue
        first = max(0, int(edges.searchsorted(heard[0], "right")) - 1)
        last = min(len(lows), int(edges.searchsorted(heard[-1], "left")))
        here, part = edges[first : last + 1], slice(first, last)
        low, high = columns(source, *shown.under(here))
        gain = shown.gains((here[1:] + here[:-1]) / 2)
        np.minimum(lows[part], low * gain, out=lows[part])
        np.maximum(highs[part], high * gain, out=highs[part])
    return lows, highs
