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
        if source is None or heard[-1] < edges[0] or heard[0] > edges[-1]:
            continue
        low, high = columns(source, *shown.under(edges))
        gain = shown.gains((edges[1:] + edges[:-1]) / 2)
        np.minimum(lows, low * gain, out=lows)
        np.maximum(highs, high * gain, out=highs)
    return lows, highs
