"""A hit that is moved is worked out where it is: the same as if all were, at a fraction of the hits."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.session import near_moves
from chronotome.session.anchors import anchors_of
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.tightening import move_hits, reset_hit, set_tighten
from chronotome.session.edits.tracks import set_moving
from chronotome.session.model import Touch, replace
from chronotome.session.onsets import onsets_from
from chronotome.session.targets import Targets
from chronotome.session.tighten import targets_of
from chronotome.session.touches import moved_between
from strategies import RATE, simple_session


def of(session) -> Targets:
    return targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)


def performance(count, seed, step=RATE // 8):
    """Hits about sixteenths at 120 bpm from the first frame on, some of them flams, some missing."""
    random = np.random.default_rng(seed)
    lines = np.arange(count + 1)[random.random(count + 1) < 0.85] * step
    frames = lines + random.normal(0, 0.012 * RATE, len(lines)).astype(int)
    more = [frames[random.random(len(frames)) < 0.1] + int(share * RATE) for share in (0.02, 0.045, 0.06)]
    kept = np.unique(np.concatenate([frames, *more]))
    kept = kept[(kept >= 0) & (kept < count * step)]
    return kept[np.concatenate([[True], np.diff(kept) > 0.012 * RATE])].tolist()


PLACES = st.integers(0, 10_000) | st.integers(0, 3) | st.integers(-5, -1)
"""Anywhere, and often at either end."""


@given(
    st.integers(0, 1000),
    st.sampled_from([{}, {"leave_alone": 8.0}, {"catch": 0.1}, {"strength": 0.6, "leave_alone": 4.0}]),
    st.lists(
        st.tuples(PLACES, st.floats(-0.3, 0.3) | st.sampled_from([-3.0, 3.0]), st.integers(1, 3)),
        min_size=1,
        max_size=8,
    ),
)
@settings(deadline=None, max_examples=120)
def test_after_any_moves_hits_are_where_they_would_be_if_all_were_worked_out(seed, values, moves):
    session = simple_session(performance(160, seed), 160 * RATE // 8)
    session = set_tighten(session, session.tracks[0].id, **{"strength": 1.0, **values})
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    for which, by, many in moves:
        now = of(session)
        at = np.arange(which % len(now), min(which % len(now) + many, len(now)))
        if abs(by) < 0.02:
            session = reset_hit(session, track.id, clip.id, int(now.onsets[at[0]]))
        else:
            beats = session.tempo.beats_at(now.target[at] / RATE) + by
            hits = dict(zip(now.onsets[at].tolist(), beats.tolist(), strict=True))
            session = move_hits(session, track.id, clip.id, hits)
        found, fresh = of(session), afresh(session)
        np.testing.assert_array_equal(found.target, fresh.target)
        np.testing.assert_array_equal(found.reasons, fresh.reasons)


def afresh(session) -> Targets:
    """Of the same recording as another object: nothing is known of it."""
    return of(replace(session, recordings=tuple(replace(each) for each in session.recordings)))


def test_of_twenty_thousand_hits_few_are_touched_by_one_that_moves(monkeypatch):
    frames = performance(24_000, 7)
    session = simple_session(frames, frames[-1] + RATE)
    session = set_tighten(session, session.tracks[0].id, strength=1.0)
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    now = of(session)
    assert len(now) > 19_000
    touched = []
    worked_out = near_moves.moves_of
    monkeypatch.setattr(
        near_moves, "moves_of", lambda hits, *rest: touched.append(len(hits.ids)) or worked_out(hits, *rest)
    )
    for at in (3, 9000, 9001, len(now) - 2):
        beat = session.tempo.beat_of((now.target[at] + 300) / RATE)
        session = move_hits(session, track.id, clip.id, {int(now.onsets[at]): beat})
        assert of(session).target[at] == now.target[at] + 300
    assert len(touched) == 4
    assert max(touched) <= 400


def test_what_a_hand_moved_is_found_between_two_tuples():
    touches = tuple(Touch(onset, beat=float(onset)) for onset in range(0, 2000, 2))
    one = (*touches[:500], Touch(1000, beat=3.0), *touches[501:])
    more = (*touches[:500], Touch(999, beat=2.0), *touches[500:])
    assert moved_between(touches, touches) == []
    assert moved_between(touches, one) == [1000]
    assert moved_between(touches, more) == [999]
    assert moved_between(more, touches) == [999]
    assert moved_between(touches, ()) is None


def with_faint(session, seed):
    """Some of its hits too faint to count, but heard: their attacks are kept."""
    onsets = session.recordings[0].onsets
    strengths = np.where(np.random.default_rng(seed).random(len(onsets)) < 0.3, 30.0, 90.0)
    found = onsets_from(onsets.frame_array, strengths, np.ones(len(onsets), np.int64))
    return set_analysis(session, session.recordings[0].content, found, None)


@pytest.mark.parametrize("by", [MoveBy.STRETCHING, MoveBy.CUTTING])
@pytest.mark.parametrize("seed", range(4))
def test_the_map_of_a_take_is_that_of_all_its_hits(seed, by):
    session = with_faint(simple_session(performance(160, seed), 160 * RATE // 8), seed)
    track, clip = session.tracks[0], session.tracks[0].clips[0]
    session = set_moving(set_tighten(session, track.id, strength=0.8), track.id, by=by)
    random = np.random.default_rng(seed)
    for _ in range(25):
        now = of(session)
        at = int(random.choice([0, 1, 2, len(now) - 1, len(now) - 2, *random.integers(0, len(now), 20)]))
        beat = session.tempo.beat_of((now.target[at] + random.integers(-9000, 9000)) / RATE)
        session = move_hits(session, track.id, clip.id, {int(now.onsets[at]): beat})
        again = replace(session, recordings=tuple(replace(each) for each in session.recordings))
        found, fresh = (
            anchors_of(each, each.tracks[0], each.tracks[0].clips[0].take) for each in (session, again)
        )
        for name in ("source", "landed", "attacks", "fills"):
            np.testing.assert_array_equal(getattr(found, name), getattr(fresh, name))
