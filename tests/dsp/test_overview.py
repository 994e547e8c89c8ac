import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.dsp.overview import BUCKET, Overview, columns_of, overview_of

RANDOM = np.random.default_rng(5).uniform(-1, 1, (BUCKET * 90 + 77, 2)).astype(np.float32)


@given(st.floats(-5000, 30000), st.floats(0.3, 4000), st.integers(1, 60))
@settings(deadline=None)
def test_no_sample_is_outside_its_column(start, per_column, count):
    edges = start + np.arange(count + 1) * per_column
    overview = overview_of(RANDOM)

    for lows, highs in (overview.columns(edges), columns_of(RANDOM, edges)):
        for column in range(count):
            low, high = max(0, int(np.ceil(edges[column]))), max(0, int(np.ceil(edges[column + 1])))
            inside = RANDOM[low:high]
            assert not inside.size or (inside.min() >= lows[column] and inside.max() <= highs[column])


def test_columns_outside_the_recording_are_silent():
    edges = np.array([-900.0, -500.0, -1.0])

    for lows, highs in (overview_of(RANDOM).columns(edges), columns_of(RANDOM, edges)):
        assert not lows.any()
        assert not highs.any()


def test_blocks_added_one_by_one_give_the_same_as_all_at_once():
    grown = Overview(len(RANDOM))

    for start in range(0, len(RANDOM), BUCKET * 7):
        grown.add(start, RANDOM[start : start + BUCKET * 7])

    whole = overview_of(RANDOM)
    np.testing.assert_array_equal(grown.coarse_highs, whole.coarse_highs)
    np.testing.assert_array_equal(grown.lows, whole.lows)


def test_a_start_inside_a_bucket_is_refused():
    with pytest.raises(ValueError, match="multiple of"):
        Overview(1000).add(5, RANDOM[:10])
