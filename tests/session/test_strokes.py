import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.session.strokes import BEFORE, LONGEST, Strokes, _groups, strokes_of

WITHIN = 2000.0


@st.composite
def takes(draw):
    gaps = draw(st.lists(st.integers(1, 6000), min_size=1, max_size=40))
    strengths = draw(st.lists(st.floats(0, 100), min_size=len(gaps), max_size=len(gaps)))
    return np.cumsum(gaps), np.array(strengths)


def members(strokes: Strokes) -> list[np.ndarray]:
    return [np.flatnonzero(strokes.of == each) for each in range(len(strokes))]


@given(takes())
def test_every_onset_is_in_one_stroke_with_its_neighbours(take):
    strokes = strokes_of(*take, WITHIN)

    assert strokes.of[0] == 0
    assert set(np.diff(strokes.of)) <= {0, 1}
    assert strokes.of[-1] == len(strokes) - 1
    assert strokes.of[strokes.leaders].tolist() == list(range(len(strokes)))


@given(takes())
def test_the_loudest_leads_and_no_stroke_is_longer_than_a_drag(take):
    frames, strengths = take
    strokes = strokes_of(frames, strengths, WITHIN)

    for leader, inside in zip(strokes.leaders.tolist(), members(strokes), strict=True):
        assert strengths[leader] == strengths[inside].max()
        assert frames[leader] - frames[inside[0]] <= LONGEST * BEFORE * WITHIN
        assert frames[inside[-1]] - frames[leader] <= LONGEST * WITHIN


@given(takes())
def test_what_is_far_apart_is_never_one_stroke(take):
    frames, strengths = take
    strokes = strokes_of(frames, strengths, WITHIN)

    far = np.diff(frames) > BEFORE * WITHIN
    assert (np.diff(strokes.of)[far] == 1).all()


@given(st.integers(1, 3000), st.floats(0, 100), st.floats(0, 100))
def test_pairs_are_grouped_as_crowds_are(gap, first, second):
    frames, strengths = np.array([100, 100 + gap]), np.array([first, second])

    strokes = strokes_of(frames, strengths, WITHIN)

    if gap <= BEFORE * WITHIN:
        groups = sorted(_groups(frames.tolist(), strengths, WITHIN), key=lambda group: group.leader)
        assert strokes.leaders.tolist() == [group.leader for group in groups]
    else:
        assert len(strokes) == 2


@pytest.mark.parametrize(
    ("gap", "strengths", "count"), [(2300, (50.0, 90.0), 1), (2300, (90.0, 50.0), 2), (2300, (90.0, 89.0), 1)]
)
def test_a_grace_note_may_lead_from_farther_than_a_rattle_follows(gap, strengths, count):
    strokes = strokes_of(np.array([0, gap]), np.array(strengths), WITHIN)

    assert len(strokes) == count


def test_without_a_span_every_onset_is_a_stroke():
    strokes = strokes_of(np.array([0, 1, 2]), np.array([1.0, 2.0, 3.0]), 0.0)

    assert strokes.leads.all()
