"""A recording as it is drawn where one band of it is heard."""

import numpy as np
import pytest

from chronotome.dsp.crossover import one_band
from chronotome.dsp.overview import BUCKET, overview_of
from chronotome.progress import unheard
from chronotome.render.arena import Arena
from chronotome.render.banded import MOST_AT_ONCE, banded
from chronotome.render.pool import Source
from chronotome.session.model import Crossover
from sounds import noise_hits


@pytest.mark.parametrize("is_high", [False, True])
def test_overview_and_near_spans_are_those_of_the_filtered_whole(is_high):
    samples = noise_hits(range(1000, 300_000, 9000), 310_000, rate=48000, channels=2)
    region = Arena().allocate(*samples.shape)
    region.samples[:] = samples
    source = Source("a" * 64, region, 48000, overview_of(samples), is_whole=True)
    made = banded(source, Crossover(200.0, is_high), unheard)
    whole = one_band(samples, 48000, 200.0, is_high=is_high)
    expected = overview_of(whole)
    assert np.abs(made.overview.lows - expected.lows).max() < 1e-5
    assert np.abs(made.overview.coarse_highs - expected.coarse_highs).max() < 1e-5

    for first, last in (
        (0, 700),
        (1000, 1500),
        (1100, 1400),
        (BUCKET << 9, (BUCKET << 9) + 99),
        (309_000, 310_000),
    ):
        assert np.abs(made.near(first, last) - whole[first:last]).max() < 1e-5, (first, last)
    assert made.near(0, MOST_AT_ONCE + 1) is None
