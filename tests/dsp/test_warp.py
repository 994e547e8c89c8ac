import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.dsp.stretch.warp import WarpMap, rising

gaps = st.lists(st.tuples(st.integers(1, 9999), st.integers(1, 9999)), min_size=2, max_size=30)


@given(gaps, st.floats(0, 1))
def test_the_way_there_and_back_ends_within_half_a_frame(steps, share):
    source, heard = np.cumsum(np.array(steps), axis=0).T
    warp = WarpMap(source, heard)
    place = source[0] + share * (source[-1] - source[0])

    back = warp.source_at(warp.heard_at(np.array([place])))

    assert abs(back[0] - place) <= 0.5
    assert (warp.ratios > 0).all()


@given(st.lists(st.tuples(st.integers(0, 50), st.integers(0, 50)), min_size=1, max_size=30))
def test_what_is_kept_rises_and_starts_with_the_first(pairs):
    source, heard = np.sort(np.array(pairs), axis=0).T

    kept_source, kept_heard = rising(source, heard, least=2)

    assert kept_source[0] == source[0]
    assert (np.diff(kept_source) >= 2).all()
    assert (np.diff(kept_heard) >= 2).all()


def test_anchors_that_do_not_rise_are_refused():
    with pytest.raises(ValueError, match="rise strictly"):
        WarpMap(np.array([0, 5, 5]), np.array([0, 1, 2]))
    with pytest.raises(ValueError, match="two anchors"):
        WarpMap(np.array([0]), np.array([0]))


def test_of_anchors_that_do_not_rise_the_later_are_left_out():
    source, heard = rising(np.array([0, 5, 5, 9, 12]), np.array([0, 3, 4, 3, 8]))

    assert source.tolist() == [0, 5, 12]
    assert heard.tolist() == [0, 3, 8]
