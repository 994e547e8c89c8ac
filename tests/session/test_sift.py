import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.dsp.bands import Band
from chronotome.dsp.onsets.crowds import first_of_crowds, strongest_within
from chronotome.session.clock import Clock
from chronotome.session.counting import counted_of
from chronotome.session.edits.marks import drop_onset, keep_onset, set_sift, set_threshold
from chronotome.session.grid import TempoChange, TempoMap
from chronotome.session.metre import Metre, MetreChange, metre_map
from chronotome.session.model import replace
from chronotome.session.onset_filter import Near, OnsetFilter, Per, sifted
from chronotome.session.onsets import Onsets
from strategies import RATE, simple_session

CLOCK = Clock(0, 0.0, 1000, TempoMap((TempoChange(0.0, 60.0),)), metre_map(Metre()))
"""One frame is a millisecond, one beat a second."""


def onsets_at(frames, strengths=None, bands=None):
    count = len(frames)
    return Onsets(
        tuple(range(1, count + 1)),
        tuple(frames),
        tuple(strengths or [90.0] * count),
        tuple(bands or [1] * count),
        (0,) * count,
        count + 1,
    )


def counting(onsets, threshold=45.0, **values):
    return onsets.frame_array[sifted(onsets, threshold, OnsetFilter(**values), CLOCK)].tolist()


def test_a_flam_is_two_when_wanted_apart_and_one_when_not():
    onsets = onsets_at([0, 500, 522, 1000])

    assert counting(onsets) == [0, 500, 522, 1000]
    assert counting(onsets, least_spacing=30.0) == [0, 500, 1000]


def test_within_a_crowd_a_sure_onset_stands_for_a_doubtful_one_before_it():
    assert counting(onsets_at([0, 10], [46.0, 80.0])) == [10]
    assert counting(onsets_at([0, 10], [60.0, 80.0])) == [0]


def test_bands_are_chosen():
    onsets = onsets_at([0, 100, 200], bands=[0, 1, 2])

    assert counting(onsets, bands=(Band.LOW, Band.HIGH)) == [0, 200]
    assert counting(onsets, bands=()) == []


@pytest.mark.parametrize(
    ("per", "expected"),
    [(Per.BAR, [2000, 4900]), (Per.BEAT, [0, 1000, 2000, 3950, 4900]), (Per.SECONDS, [0, 2000, 4900])],
)
def test_only_the_strongest_of_each_bar_beat_or_distance_counts(per, expected):
    frames = [0, 200, 1000, 1300, 2000, 3950, 4900, 5100]
    strengths = [60.0, 50.0, 62.0, 55.0, 99.0, 70.0, 95.0, 80.0]

    assert counting(onsets_at(frames, strengths), strongest_per=per, seconds=1.5) == expected


def test_onsets_near_the_grid_and_those_far_from_it_are_told_apart():
    onsets = onsets_at([0, 130, 490, 760, 1010])

    near = counting(onsets, near=Near.NEAR, near_ms=15.0)
    far = counting(onsets, near=Near.FAR, near_ms=15.0)

    assert near == [0, 490, 760, 1010]
    assert far == [130]


def test_what_is_kept_by_hand_counts_whatever_the_sieve_and_what_is_dropped_never():
    session = simple_session([0, 100, RATE], 4 * RATE)
    content = session.recordings[0].content
    session = set_sift(session, content, lambda sift: replace(sift, bands=(Band.LOW,), strongest_per=Per.BAR))
    session = set_threshold(session, content, 100.0)
    first, second, third = session.recordings[0].onsets.ids

    session = drop_onset(keep_onset(session, content, second), content, third)

    assert counted_of(session, session.tracks[0].clips[0].take).tolist() == [False, True, False]
    assert first


def test_bars_follow_the_tempo_of_the_session():
    session = simple_session([0, RATE, 2 * RATE, 3 * RATE], 5 * RATE, tempo=120.0)
    content = session.recordings[0].content
    session = set_sift(session, content, lambda sift: replace(sift, strongest_per=Per.BAR))
    slower = replace(session, tempo=TempoMap((TempoChange(0.0, 60.0),)))

    clip = session.tracks[0].clips[0]
    assert counted_of(session, clip.take).tolist() == [True, False, True, False]
    assert counted_of(slower, clip.take).tolist() == [True, False, False, False]
    in_three = replace(slower, metre_changes=(MetreChange(1, Metre(1, 4)),))
    longer = simple_session([at * RATE for at in range(7)], 8 * RATE, tempo=60.0)
    longer = set_sift(longer, content, lambda sift: replace(sift, strongest_per=Per.BAR))
    longer = replace(longer, metre_changes=in_three.metre_changes)
    counts = counted_of(longer, longer.tracks[0].clips[0].take).tolist()
    assert counts == [True, False, False, False, True, True, True]  # from beat 5 on each is a bar


rows = st.lists(st.tuples(st.integers(1, 60), st.floats(0, 100)), max_size=40)


@given(rows, st.integers(0, 50))
def test_no_two_that_count_are_nearer_than_the_spacing(gaps, spacing):
    frames = np.cumsum([gap for gap, _ in gaps]).astype(np.int64)
    strengths = np.array([strength for _, strength in gaps])

    counts = first_of_crowds(frames, strengths, spacing)

    assert (np.diff(frames[counts]) >= spacing).all()
    assert counts.any() == bool(len(frames))
    for place in np.flatnonzero(~counts):  # whoever is left out is too near to one that counts
        assert np.abs(frames[counts] - frames[place]).min() < spacing


@given(rows, st.integers(1, 80))
def test_the_strongest_is_never_left_out_and_all_others_have_a_stronger_one_near(gaps, distance):
    frames = np.cumsum([gap for gap, _ in gaps]).astype(np.int64)
    strengths = np.array([strength for _, strength in gaps])

    counts = strongest_within(frames, strengths, distance)

    assert (np.diff(frames[counts]) >= distance).all()
    for place in np.flatnonzero(~counts):
        near = counts & (np.abs(frames - frames[place]) < distance)
        assert strengths[near].max() >= strengths[place]


def test_a_dropped_mark_does_not_bring_back_what_it_hid():
    session = simple_session([4800, 5300, 20000], 48000)
    content = session.recordings[0].content
    clip = session.tracks[0].clips[0]
    before = counted_of(session, clip.take).tolist()

    dropped = drop_onset(session, content, session.recordings[0].onsets.ids[0])

    assert before == [True, False, True]
    assert counted_of(dropped, clip.take).tolist() == [False, False, True]
