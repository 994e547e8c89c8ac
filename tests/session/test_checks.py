"""Places to check that a hit alone does not show."""

import numpy as np
import pytest

from chronotome.session.check import Do, Kind
from chronotome.session.checks import checks_of
from chronotome.session.edits.fixes import accept, mended
from chronotome.session.edits.marks import keep_onset
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.tracks import lock, set_muted
from chronotome.session.grid import Grid
from chronotome.session.model import MuteSpan, Recording, Session, replace
from chronotome.session.noises import clear_spans
from chronotome.session.onsets import onsets_from
from chronotome.session.tighten import targets_of
from strategies import RATE, simple_session

STEP = RATE // 8
BEATS = [STEP * 4 * (4 + at) for at in range(32)]


def ms(value):
    return round(value * RATE / 1000)


def session_of(*takes, strengths=None) -> Session:
    """Tracks of hits at 120 bpm, as they were played."""
    session = simple_session(list(takes[0]), takes[0][-1] + RATE)
    for number, frames in enumerate(takes[1:]):
        content = "bcde"[number] * 32
        session = add_recording(session, Recording(content, "b.wav", RATE, frames[-1] + RATE, 1), "other")
        count = len(frames)
        onsets = onsets_from(np.array(frames), np.full(count, 90.0), np.ones(count, np.int64))
        session = set_analysis(session, content, onsets, None)
    if strengths is not None:
        recording = session.recordings[0]
        onsets = onsets_from(np.array(takes[0]), np.array(strengths), np.ones(len(takes[0]), np.int64))
        session = set_analysis(session, recording.content, onsets, None)
    for track in session.tracks:
        session = set_tighten(session, track.id, strength=0.0)
    return session


def found(session, number=0):
    return list(checks_of(session, session.tracks[number]))


def with_one(frames, at, by):
    return sorted([*frames[:at], frames[at] + ms(by), *frames[at + 1 :]])


def test_a_flam_is_told_on_both_sides_and_either_may_give_way():
    session = session_of(with_one(BEATS, 9, 25.0), BEATS)
    track, clip = session.tracks[0].id, session.tracks[0].clips[0].id

    (check,) = found(session)
    assert (check.kind, check.figure, check.beat) == (Kind.FLAM, "25 ms", 13.0)
    assert [each.kind for each in found(session, 1)] == [Kind.FLAM]
    assert "25 ms later" in check.sentence
    for number in range(2):
        mend = mended(session, track, clip, check, number)
        places = [targets_of(mend, each, each.takes[0]).target[9] for each in mend.tracks]
        assert abs(int(places[0] - places[1])) <= 1
        assert not found(mend)
    take = session.tracks[0].takes[0]
    assert not found(accept(session, track, take, check))
    assert not found(set_muted(session, session.tracks[1].id, True))


def test_a_groove_is_no_flam_and_being_nearer_than_usual_neither():
    late = [frame + ms(35) for frame in BEATS]

    assert not found(session_of(late, BEATS))
    assert not found(session_of(with_one(late, 7, -20.0), BEATS))
    assert [each.kind for each in found(session_of(with_one(late, 7, -55.0), BEATS))] == [Kind.FLAM]


def test_a_hit_on_another_line_than_in_the_other_bars_goes_to_the_usual_one():
    session = session_of(with_one(BEATS, 9, 125.0))

    (check,) = found(session)

    assert (check.kind, check.figure) == (Kind.WRONG_LINE, "125 ms")
    assert check.mends[0].do is Do.MOVE
    fixed = mended(session, session.tracks[0].id, session.tracks[0].clips[0].id, check, 0)
    assert targets_of(fixed, fixed.tracks[0], fixed.tracks[0].takes[0]).target[9] == BEATS[9]


def test_a_fill_may_be_as_it_likes():
    fill = sorted([*BEATS, *(BEATS[28] + STEP * at for at in (1, 2, 3, 5, 6, 7, 9, 11, 13))])

    assert not found(session_of(fill))


@pytest.mark.parametrize(("strength", "kind"), [(20.0, Kind.MISSING), (90.0, None)])
def test_a_faint_hit_where_every_bar_has_one_can_be_kept(strength, kind):
    strengths = [90.0] * 32
    strengths[10] = strength
    session = session_of(BEATS, strengths=strengths)

    assert [each.kind for each in found(session)] == ([kind] if kind else [])
    if kind is not None:
        track = session.tracks[0]
        kept = mended(session, track.id, track.clips[0].id, found(session)[0], 0)
        assert not found(kept)
        assert len(targets_of(kept, kept.tracks[0], kept.tracks[0].takes[0])) == 32


def test_a_second_hit_on_a_line_can_be_dropped():
    session = session_of(sorted([*BEATS, BEATS[12] + ms(55)]))
    session = set_tighten(session, session.tracks[0].id, grid=Grid(8))

    (check,) = found(session)

    assert (check.kind, check.mends[0].do) == (Kind.DOUBLED, Do.DROP)
    assert not found(mended(session, session.tracks[0].id, session.tracks[0].clips[0].id, check, 0))


def session_with_a_noise(before: int, strength: float = 90.0, many: int = 1) -> Session:
    """The beats, and what the analysis took for noises of 40 ms so many milliseconds before some of them."""
    noises = [BEATS[8 + at] - ms(before) for at in range(many)]
    frames = sorted([*BEATS, *noises])
    session = session_of(frames, strengths=[90.0 if frame in BEATS else strength for frame in frames])
    (recording,) = session.recordings
    heard = replace(recording.onsets, noises=tuple(ms(40) * (frame in noises) for frame in frames))
    return replace(session, recordings=(replace(recording, onsets=heard),))


@pytest.mark.parametrize("strength", [90.0, 20.0])
def test_a_noise_is_silenced_by_its_mend_counts_no_more_and_leaves_the_list(strength):
    session = session_with_a_noise(60, strength)

    (check,) = found(session)  # and nothing else of what is no hit
    assert check.kind is Kind.NOISE
    assert check.played == pytest.approx(BEATS[8] - ms(60), abs=2)
    fixed = mended(session, session.tracks[0].id, session.tracks[0].clips[0].id, check, 0)

    (hush,) = fixed.tracks[0].takes[0].hushes
    assert (hush.start, hush.end) == (BEATS[8] - ms(65), BEATS[8] - ms(20))
    assert not [each for each in found(fixed) if each.kind is Kind.NOISE]
    assert len(targets_of(fixed, fixed.tracks[0], fixed.tracks[0].takes[0])) == 32


@pytest.mark.parametrize(
    "session",
    [
        session_with_a_noise(100, many=8),  # as many of them are how it is played
        session_with_a_noise(450),  # silence would cut the hit before
    ],
)
def test_what_is_played_so_or_cannot_be_silenced_is_not_told_of(session):
    assert not [each for each in found(session) if each.kind is Kind.NOISE]


def test_what_a_person_keeps_is_no_noise():
    session = session_with_a_noise(100)
    (recording,) = session.recordings
    noise = recording.onsets.ids[recording.onsets.noises.index(ms(40))]

    kept = keep_onset(session, recording.content, noise)

    assert not [each for each in found(kept) if each.kind is Kind.NOISE]


def test_silence_keeps_clear_of_the_attacks_about_it_and_of_silence():
    hits, frames = np.array(BEATS), np.array([BEATS[7] + ms(60), BEATS[7] + ms(60) - 1, BEATS[7] + ms(70)])
    ends = np.array([BEATS[8], BEATS[8], BEATS[7] + ms(90)])

    spans = clear_spans(np.stack([frames, ends], axis=1), hits, RATE)

    assert spans[0].tolist() == [frames[0], BEATS[8] - ms(5)]
    assert spans[1, 0] == spans[1, 1]
    assert spans[2].tolist() == [BEATS[7] + ms(65), ends[2]]
    silent = clear_spans(
        np.array([[frames[2], ends[2]]]), hits, RATE, (MuteSpan(BEATS[7] + ms(80), BEATS[7] + ms(85)),)
    )
    assert silent[0, 0] == silent[0, 1]


def test_a_strong_hit_that_a_locked_track_lacks_is_told_unless_it_lacks_many():
    without = [frame for at, frame in enumerate(BEATS) if at != 6]
    session = session_of(BEATS, without)
    session = lock(session, session.tracks[0].id, [session.tracks[1].id])

    assert [(each.kind, each.beat) for each in found(session)] == [(Kind.LACKS, 10.0)]
    few = session_of(BEATS, BEATS[::2])
    assert not found(lock(few, few.tracks[0].id, [few.tracks[1].id]))
