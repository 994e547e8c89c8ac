"""Pairs of two takes, and a take that follows another."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.session.edits.matching import forget_pairs, match_to, set_match, set_pair
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.tracks import remove_track
from chronotome.session.match import NOBODY, HitFeatures, paired
from chronotome.session.model import Recording
from chronotome.session.onsets import onsets_from
from chronotome.session.settings import Alone
from chronotome.session.targets import Reason
from chronotome.session.tighten import pairs_of, targets_of
from strategies import RATE, simple_session

LINE = [RATE * (1 + at) // 2 for at in range(12)]


def heard(frames, first=1, timbres=None):
    count = len(frames)
    frames = np.array(frames, np.int64)
    return HitFeatures(
        np.arange(first, first + count),
        frames,
        np.full(count, -20.0),
        np.zeros(count, np.int64) if timbres is None else np.array(timbres, np.int64),
    )


def partners(own, other, within=90.0, said=()):
    return paired(heard(own), heard(other, 101), within, RATE, said).partner.tolist()


def ms(value):
    return round(value * RATE / 1000)


def two(own, other=LINE):
    """A session of two takes; the second follows the first."""
    session = simple_session(list(other), other[-1] + RATE)
    session = add_recording(session, Recording("b" * 32, "b.wav", RATE, own[-1] + RATE, 1), "b")
    count = len(own)
    onsets = onsets_from(np.array(own, np.int64), np.full(count, 90.0), np.ones(count, np.int64))
    session = set_analysis(session, "b" * 32, onsets, None)
    first, second = session.tracks
    return match_to(session, second.id, second.takes[0], first.id)


def second(session):
    track = session.tracks[1]
    return targets_of(session, track, track.takes[0])


@given(st.lists(st.integers(-30, 30), min_size=12, max_size=12))
def test_hits_that_are_near_are_paired_in_order(off):
    assert partners([frame + ms(each) for frame, each in zip(LINE, off, strict=True)], LINE) == list(
        range(12)
    )


def test_missing_and_extra_hits_stay_alone():
    own = sorted([*LINE[:4], LINE[4] + ms(200), *LINE[6:]])

    assert partners(own, LINE) == [0, 1, 2, 3, NOBODY, *range(6, 12)]
    assert partners(LINE, LINE, within=5.0) == list(range(12))
    assert partners([LINE[0] + ms(100)], LINE) == [NOBODY]
    assert partners([], LINE) == []
    assert partners(LINE, []) == [NOBODY] * 12


def test_of_two_candidates_the_one_that_sounds_alike_is_the_partner():
    bright, dark = 0, sum(60 << (6 * band) for band in range(4, 8))
    frames = [at for start in LINE[:6] for at in (start, start + ms(60))]
    timbres = [bright, dark] * 6
    own = heard([start + ms(32) for start in LINE[:6]], timbres=[dark] * 6)

    found = paired(own, heard(frames, 101, timbres), 90.0, RATE)

    assert found.partner.tolist() == [1, 3, 5, 7, 9, 11]


def test_a_take_that_lags_for_a_while_is_followed():
    own = [frame + ms(70) for frame in LINE]
    other = sorted([*LINE, *(frame + ms(115) for frame in LINE[5:7])])

    found = partners(own, other)

    assert [other[at] for at in found] == LINE


def test_what_might_as_well_be_another_is_unsure():
    own = [LINE[0], LINE[1] + ms(30), LINE[2]]
    other = sorted([LINE[0], LINE[1], LINE[1] + ms(62), LINE[2]])

    found = paired(heard(own), heard(other, 101), 90.0, RATE)

    assert found.is_sure.tolist() == [True, False, True]


def test_what_is_set_by_hand_holds_and_the_rest_is_paired_around_it():
    assert partners(LINE, LINE, said=((3, 104),)) == [0, 1, 3, NOBODY, *range(4, 12)]
    assert partners(LINE, LINE, said=((3, None),)) == [0, 1, NOBODY, *range(3, 12)]
    assert partners(LINE, LINE, said=((99, 101), (3, 999))) == list(range(12))


def test_paired_hits_land_on_their_partners_wherever_these_are_tightened_to():
    session = two([frame + ms(20) for frame in LINE])
    np.testing.assert_array_equal(second(session).target, LINE)

    moved = set_tighten(session, session.tracks[0].id, strength=1.0, shift=15.0)

    assert np.abs(second(moved).target - np.array(LINE) - ms(15)).max() <= 1


@pytest.mark.parametrize(("alone", "moves"), [(Alone.ALONG, -20.0), (Alone.LEFT, 0.0), (Alone.SILENT, -20.0)])
def test_a_hit_alone_moves_along_or_is_left(alone, moves):
    own = sorted([*(frame + ms(20) for frame in LINE), LINE[5] + ms(250)])
    session = two(own)
    track = session.tracks[1]
    session = set_match(session, track.id, track.takes[0], alone=alone)

    targets = second(session)

    at = own.index(LINE[5] + ms(250))
    off = 1000 * (targets.target - targets.played)[at] / RATE
    assert off == pytest.approx(moves, abs=0.1)
    assert targets.reasons[at] == (Reason.LEFT_ALONE if alone is Alone.LEFT else Reason.CARRIED)
    assert targets.drift[at] == 0.0


def test_a_pair_is_made_and_broken_by_hand_and_forgotten():
    session = two([frame + ms(20) for frame in LINE])
    track = session.tracks[1]
    take, ids = track.takes[0], session.recordings[1].onsets.ids
    others = session.recordings[0].onsets.ids

    broken = set_pair(session, track.id, take, ids[2], None)
    made = set_pair(broken, track.id, take, ids[1], others[2])

    def pairs(each):
        return pairs_of(each, each.tracks[1], each.tracks[1].takes[0])

    assert pairs(broken).partner[2] == NOBODY
    assert pairs(made).partner[:3].tolist() == [0, 2, NOBODY]
    assert pairs(made).by_hand[:3].tolist() == [False, True, True]
    forgotten = forget_pairs(made, track.id, take, ids)
    assert pairs(forgotten).partner.tolist() == list(range(12))


def test_a_circle_and_a_track_that_is_gone_match_nothing():
    session = two(LINE)
    first, other = session.tracks

    circle = match_to(session, first.id, first.takes[0], other.id)
    gone = remove_track(session, first.id)

    assert pairs_of(circle, circle.tracks[1], other.takes[0]) is None
    assert pairs_of(gone, gone.tracks[0], gone.tracks[0].takes[0]) is None
    assert len(targets_of(gone, gone.tracks[0], gone.tracks[0].takes[0])) == 12
