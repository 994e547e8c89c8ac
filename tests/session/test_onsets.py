import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.session.onsets import OnsetDecision, Onsets
from strategies import onset_tables


@given(onset_tables(), st.integers(0, 400000))
def test_an_added_onset_is_kept_whatever_the_threshold_and_has_a_new_id(onsets, frame):
    added = onsets.added(frame)

    place = added.frames.index(frame)
    assert added.counted(100.0)[place]
    if frame in onsets.frames:
        assert added.ids == onsets.ids
    else:
        assert added.ids[place] not in onsets.ids
        assert added.standing(added.ids[place], OnsetDecision.DROPPED).frames == onsets.frames


@given(onset_tables(), st.data())
def test_a_moved_onset_never_passes_its_neighbours(onsets, data):
    onset = data.draw(st.sampled_from(onsets.ids))
    frame = data.draw(st.integers(-1000, 500000))

    moved = onsets.moved(onset, frame)

    assert moved.ids == onsets.ids
    assert (np.diff(moved.frame_array) > 0).all()


def test_a_dropped_onset_does_not_count_and_a_kept_one_does():
    onsets = Onsets((1, 2), (100, 200), (90.0, 10.0), (0, 1), (0, 0), 3)

    changed = onsets.standing(1, OnsetDecision.DROPPED).standing(2, OnsetDecision.KEPT)

    assert onsets.counted(45).tolist() == [True, False]
    assert changed.counted(45).tolist() == [False, True]
    assert changed.standing(2, OnsetDecision.KEPT) is changed


@pytest.mark.parametrize(
    ("columns", "match"),
    [
        (((1, 2), (5, 5), (1.0, 1.0), (0, 0), (0, 0), 3), "rise strictly"),
        (((1, 1), (5, 6), (1.0, 1.0), (0, 0), (0, 0), 3), "unique"),
        (((1, 9), (5, 6), (1.0, 1.0), (0, 0), (0, 0), 3), "below next_id"),
        (((1,), (5, 6), (1.0, 1.0), (0, 0), (0, 0), 3), "one length"),
    ],
)
def test_broken_tables_are_refused(columns, match):
    with pytest.raises(ValueError, match=match):
        Onsets(*columns)
