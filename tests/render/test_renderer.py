import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.dsp.bands import Instrument
from chronotome.dsp.clicks import second_difference
from chronotome.dsp.overview import Overview
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.dsp.stretch.formants import recoloured
from chronotome.dsp.stretch.gaps import Fill
from chronotome.errors import Cancelled
from chronotome.render.arena import Arena
from chronotome.render.cache import MOST_SPARE_BYTES, PieceCache
from chronotome.render.coloured import coloured
from chronotome.render.join_report import joins_of, proof_of
from chronotome.render.mix import Side, fold_down
from chronotome.render.plan import PieceKey, plan_for
from chronotome.render.pool import Source
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.render.rough import roughest
from chronotome.session.anchors import anchors_of
from chronotome.session.check import Kind
from chronotome.session.checks import checks_of
from chronotome.session.edits.fitting import TempoSync, set_following
from chronotome.session.edits.fixes import hush, mended, unhush
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import move_hit, set_tighten
from chronotome.session.edits.timing import set_click
from chronotome.session.edits.tracks import lock, set_level, set_moving, set_muted, set_solo, unlock
from chronotome.session.fit import Measured
from chronotome.session.model import Click, MuteSpan, Recording, Session, replace
from chronotome.session.tighten import targets_of
from sounds import noise_hits
from strategies import RATE, edits, sessions, simple_session, traits_of
from studio import Studio

STEP = RATE // 8
FRAMES = [0, STEP + 700, 2 * STEP - 500, 3 * STEP + 200, 4 * STEP]
TOTAL = 5 * STEP


@pytest.fixture
def studio():
    return Studio()


def tightened(**values: object) -> Session:
    session = simple_session(FRAMES, TOTAL)
    return set_tighten(session, session.tracks[0].id, **{"strength": 1.0, **values})


def test_an_untouched_session_is_the_recording_bit_for_bit(studio):
    session = simple_session(FRAMES, TOTAL)

    heard = studio.heard(session)

    samples = studio.sources[session.recordings[0].content].region.samples
    np.testing.assert_array_equal(heard[:, 0], samples[:, 0])
    np.testing.assert_array_equal(heard, studio.heard(session, Side.AS_PLAYED))
    assert studio.renderer.cache.rendered_count == 0


@pytest.mark.parametrize("move_by", [MoveBy.CUTTING, MoveBy.STRETCHING])
def test_attacks_land_on_their_targets_to_the_frame(studio, move_by):
    session = tightened()
    session = set_moving(session, session.tracks[0].id, by=move_by)

    heard = studio.heard(session)

    source = studio.sources[session.recordings[0].content].region.samples[:, 0]
    targets = targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)
    for played, target in zip(targets.played, targets.target, strict=True):
        np.testing.assert_array_equal(heard[target : target + 200, 0], source[played : played + 200])
    assert len(heard) == TOTAL


def test_one_moved_hit_renders_two_pieces_and_leaves_every_other_sample(studio):
    session = tightened()
    before = studio.heard(session)
    count = studio.renderer.cache.rendered_count
    track, clip = session.tracks[0], session.tracks[0].clips[0]

    after = studio.heard(move_hit(session, track.id, clip.id, 3, 0.54))

    assert studio.renderer.cache.rendered_count == count + 2
    changed = np.flatnonzero((before != after).any(axis=1))
    targets = targets_of(session, track, clip.take).target
    assert targets[1] < changed.min()
    assert changed.max() < targets[3]


@given(sessions(), st.lists(edits(), min_size=1, max_size=4))
@settings(deadline=None, max_examples=15)
def test_edited_step_by_step_is_rendered_afresh(session, changes):
    one = Studio()
    for edit in changes:
        one.heard(session)
        session = edit(session)

    np.testing.assert_array_equal(one.heard(session), Studio().heard(session))


def test_mute_solo_and_level(studio):
    session = tightened()
    session = add_recording(session, Recording("b" * 32, "b.wav", RATE, TOTAL, 2), "b")
    first, second = (track.id for track in session.tracks)
    both = studio.heard(session)

    softer = studio.heard(set_level(set_muted(session, second, True), first, -6.0))

    alone = studio.heard(set_solo(session, first, True))
    other = studio.heard(set_muted(session, first, True))
    np.testing.assert_allclose(both, alone + other, atol=1e-6)
    np.testing.assert_allclose(softer, alone * 10 ** (-6 / 20), atol=1e-6)


def test_a_locked_track_is_moved_by_its_guide(studio):
    session = tightened()
    session = add_recording(session, Recording("b" * 32, "b.wav", RATE, TOTAL, 1), "room")
    guide, room = (track.id for track in session.tracks)

    locked = lock(session, guide, [room])

    plans = [track.clips[0].score for track in plan_for(locked).tracks]
    np.testing.assert_array_equal(plans[0].start, plans[1].start)
    np.testing.assert_array_equal(plans[0].heard, plans[1].heard)


def test_the_level_of_both_sides_is_matched(studio):
    session = tightened()
    session = set_moving(session, session.tracks[0].id, by=MoveBy.CUTTING)

    edited, played = (studio.heard(session, side) for side in (Side.EDITED, Side.AS_PLAYED))

    assert np.sum(played**2) == pytest.approx(np.sum(edited**2), rel=0.01)


def test_the_click_sounds_on_every_beat_of_the_player_only(studio):
    session = set_click(simple_session(FRAMES, TOTAL), Click(is_on=True, level=0.0))
    plain = studio.heard(simple_session(FRAMES, TOTAL))

    heard = studio.heard(session)

    added = np.abs(heard - plain)[:, 0]
    assert added[4 * STEP : 4 * STEP + 400].max() > 0.5
    assert not added[STEP : 4 * STEP].any()


def test_the_nearest_piece_to_the_playhead_comes_first(studio):
    frames = [place * STEP + (300 if place % 2 else 0) for place in range(80)]
    session = simple_session(frames, 81 * STEP)
    session = set_tighten(session, session.tracks[0].id, strength=1.0)
    studio.load(session.recordings[0])
    mixes = []

    studio.renderer.render(plan_for(session), studio.sources, mixes.append, near=60 * STEP)

    early, whole = mixes[0], mixes[-1]
    covered = OfflineMix(early, studio.arena).read(60 * STEP, 3 * STEP)
    np.testing.assert_array_equal(covered, OfflineMix(whole, studio.arena).read(60 * STEP, 3 * STEP))
    assert early.serial < whole.serial


def test_what_is_no_longer_wanted_stops(studio):
    session = tightened()
    studio.load(session.recordings[0])

    with pytest.raises(Cancelled):
        studio.renderer.render(plan_for(session), studio.sources, lambda _mix: None, is_wanted=lambda: False)


def test_the_cache_keeps_to_its_limit_once_old_mixes_are_released():
    studio = Studio()
    studio.renderer = Renderer(studio.arena, PieceCache(studio.arena, spare=200_000))
    session = tightened()
    for strength in (0.2, 0.4, 0.6, 0.8):
        studio.heard(set_tighten(session, session.tracks[0].id, strength=strength))
        studio.renderer.cache.release(10**9)

    studio.heard(session)

    cache = studio.renderer.cache
    assert 0 < cache.held <= 4 * TOTAL
    assert cache.bytes <= 2 * cache.held + 200_000  # room is made before what is asked for is rendered
    assert cache.rendered_count > cache.bytes // (4 * STEP)


def test_the_proof_finds_no_click_and_the_level(studio):
    session = tightened()
    studio.load(session.recordings[0])
    plan = plan_for(session)
    mix = OfflineMix(render_mix(studio.renderer, plan, studio.sources), studio.arena)

    proof = proof_of(mix, plan)

    assert len(proof.joins) == int((~joins_of(plan).bare).sum()) > 2
    assert proof.clicks == 0
    assert 0 < proof.peak < 1


def test_5_1_is_folded_down_as_the_standard_says():
    weights = fold_down(6, 2)

    np.testing.assert_allclose(weights[:, 0], [1, 0, 0.7071, 0, 0.7071, 0], atol=1e-4)
    np.testing.assert_allclose(fold_down(8, 2).sum(axis=0), [1, 1])


@pytest.mark.parametrize("move_by", [MoveBy.STRETCHING, MoveBy.CUTTING])
def test_locked_recordings_are_stretched_as_one(studio, move_by):
    """Three microphones: one hears what the other two hear together. So it must stay, to the sample."""
    hum = simple_session(FRAMES, TOTAL)
    random = np.random.default_rng(8)
    near = noise_hits(FRAMES, TOTAL, rate=RATE, decay=0.05)
    far = (0.3 * np.sin(np.arange(TOTAL) * 0.031) + 0.05 * random.standard_normal(TOTAL))[:, None]
    session = hum
    for name, samples in (("near", near), ("far", far), ("both", near + far)):
        content = name * 8
        recording = replace(hum.recordings[0], content=content, file=f"{name}.wav", channels=1)
        session = add_recording(session, recording, name)
        region = studio.arena.allocate(TOTAL, 1)
        region.samples[:] = samples
        source = Source(content, region, RATE, Overview(TOTAL))
        source.finish()
        studio.sources[content] = source
    tracks = [track.id for track in session.tracks[1:]]
    session = lock(session, tracks[0], tracks[1:])
    session = set_moving(set_tighten(session, tracks[0], strength=1.0), tracks[0], by=move_by)
    heard = [studio.heard(set_solo(session, track, True)) for track in tracks]

    apart = unlock(session, tracks[2])
    apart = set_moving(set_tighten(apart, tracks[2], strength=1.0), tracks[2], by=move_by)
    alone = studio.heard(set_solo(apart, tracks[2], True))

    played = studio.heard(set_solo(session, tracks[0], True), Side.AS_PLAYED)
    assert np.abs(heard[0] - played[: len(heard[0])]).max() > 0.1
    assert np.abs(heard[0] + heard[1] - heard[2]).max() < 1e-5
    if move_by is MoveBy.STRETCHING:
        assert np.abs(alone - heard[2]).max() > 0.01


def test_a_mix_grows_from_the_playhead_on(studio):
    frames = list(range(1000, 120 * RATE, RATE // 2))
    session = simple_session(frames, 120 * RATE + RATE)
    content = session.recordings[0].content
    measured = Measured(120.0, frames[0] / RATE, 1.0, True, beats=tuple(frame / RATE for frame in frames))
    session = set_analysis(session, content, session.recordings[0].onsets, measured)
    session = set_tempo(set_following(session, session.tracks[0].id, TempoSync.RECORDING), 100.0)
    studio.load(session.recordings[0])
    mixes = []

    studio.renderer.render(plan_for(session), studio.sources, mixes.append, 60 * RATE)

    lengths = [int(mix.lanes[1].lengths.sum()) for mix in mixes]
    first = mixes[0].lanes[1].starts
    assert len(mixes) > 4
    assert lengths == sorted(lengths)
    assert first.min() > 55 * RATE
    assert len(mixes[-1].lanes[1].starts) == len(plan_for(session).tracks[0].clips[0].score)


def test_pieces_beside_the_mix_may_take_as_much_as_is_spared_or_twice_the_mix():
    cache = PieceCache(Arena(), spare=1000)

    def is_over(held, taken):
        cache.held, cache.bytes = held, taken
        return cache.is_over

    assert [is_over(200, 1200), is_over(200, 1201)] == [False, True]
    assert [is_over(600, 1800), is_over(600, 1801)] == [False, True]
    assert is_over(MOST_SPARE_BYTES, 2 * MOST_SPARE_BYTES + 1)


def test_locked_recordings_that_begin_at_other_moments_are_stretched_as_one(studio):
    """The same sound, once from 700 frames later on: what is heard of both is the same, to the bit."""
    session = tightened()
    first, content, late = session.tracks[0], "b" * 32, 700
    studio.heard(session)
    sound = studio.sources[session.recordings[0].content].region.samples
    studio.put(content, sound[late:])
    session = add_recording(session, Recording(content, "b.wav", RATE, TOTAL - late, 1), "later")
    second = session.tracks[1]
    take = replace(second.clips[0].take, start=late)
    second = replace(second, clips=(replace(second.clips[0], take=take),))
    session = lock(replace(session, tracks=(first, second)), first.id, [second.id])

    one, other = (studio.heard(set_solo(session, track.id, True)) for track in session.tracks)

    assert np.abs(one[STEP:]).max() > 0.1
    np.testing.assert_array_equal(one[STEP : TOTAL - STEP], other[STEP : TOTAL - STEP])


def test_as_played_is_as_loud_as_what_is_left_of_it_when_it_is_edited(studio):
    session = tightened()
    noise = np.random.default_rng(5).uniform(-0.4, 0.4, (TOTAL, 1)).astype(np.float32)
    studio.put(session.recordings[0].content, noise)
    track = session.tracks[0]
    onset = session.recordings[0].onsets.ids[0]
    session = move_hit(session, track.id, track.clips[0].id, onset, 0.1)  # the start is 1,500 frames later

    edited, played = (studio.heard(session, side) for side in (Side.EDITED, Side.AS_PLAYED))

    gain = float(played[20000, 0] / noise[20000, 0])
    assert 0.9 < gain < 0.985
    assert np.sum(played**2) == pytest.approx(np.sum(edited**2), rel=0.03)


def test_a_piece_is_not_freed_before_the_mixes_that_hold_it_are_no_longer_read(studio):
    session = tightened()
    studio.heard(session)
    source = studio.sources[session.recordings[0].content]
    cache = PieceCache(studio.arena, spare=0)
    key = PieceKey(source.content, RATE, MoveBy.CUTTING, 0, 1000, 1100, is_last=True)

    cache.render(key, studio.sources, serial=5)
    cache.release(4)
    cache.make_room()
    assert cache.bytes >= 1100 * 4
    cache.release(5)
    cache.make_room()
    assert cache.bytes == 0


@pytest.mark.parametrize("strength", [0.0, 1.0])
def test_a_noise_is_gone_as_edited_and_only_what_is_around_it_is_rendered(studio, strength):
    session = tightened(strength=strength)
    track = session.tracks[0]
    start, end = FRAMES[2] + 1000, FRAMES[2] + 5500
    before = studio.heard(session)

    quiet = hush(session, track.id, track.takes[0], [MuteSpan(start, end)])

    rendered = studio.renderer.cache.rendered_count
    after = studio.heard(quiet)
    anchors = anchors_of(quiet, quiet.tracks[0], quiet.tracks[0].takes[0])
    low, high = anchors.heard_of(start), anchors.heard_of(end)
    assert np.abs(after[low + 1300 : high - 1300]).max() < (0.02 if strength else 1e-4)
    assert studio.renderer.cache.rendered_count - rendered <= 4
    changed = np.flatnonzero(np.abs(after - before).max(axis=1) > 0)
    assert low - STEP < changed[0]
    assert changed[-1] < high + 2 * STEP
    played = [studio.heard(each, Side.AS_PLAYED) for each in (quiet, session)]
    np.testing.assert_allclose(*played, rtol=0.02)  # but for the level that both sides share
    assert unhush(quiet, track.id, quiet.tracks[0].takes[0], start, end) == session


def test_between_two_hits_of_other_loudness_nothing_jumps(studio):
    """A steady sound under hits that are drawn to an even loudness: its level bends, over 6 ms."""
    session = simple_session(FRAMES, TOTAL)
    recording = session.recordings[0]
    studio.put(recording.content, np.full((TOTAL, 1), 0.5, np.float32))
    levels = np.array([-20.0, -8.0, -20.0, -8.0, -14.0])
    onsets = recording.onsets.measured(traits_of(levels))
    session = replace(session, recordings=(replace(recording, onsets=onsets),))
    session = set_tighten(session, session.tracks[0].id, loudness=1.0)

    heard = studio.heard(session)[:, 0]

    inside = heard[FRAMES[0] + 10 : FRAMES[4] - 10]
    assert np.ptp(inside) > 0.3
    assert np.abs(np.diff(inside)).max() < 0.01
    for frame, level in zip(FRAMES[:4], levels[:4], strict=True):
        assert heard[frame + 1000] == pytest.approx(0.5 * 10 ** ((-14.0 - level) / 20), rel=0.01)


def test_a_join_above_the_proof_is_found_named_and_crossed_longer(studio):
    """A steady tone, cut where it is loudest with hardly a crossfade; by longer ones it is smooth."""
    session = tightened(strength=0.0)
    track = session.tracks[0]
    session = set_moving(session, track.id, by=MoveBy.CUTTING, fill=Fill.NOTHING, crossfade=0.5)
    tone = 0.5 * np.sin(2 * np.pi * 60 * np.arange(TOTAL) / RATE)
    studio.put(session.recordings[0].content, tone.astype(np.float32)[:, None])
    onset = session.recordings[0].onsets.ids[2]
    session = move_hit(session, track.id, track.clips[0].id, onset, session.beat_of(FRAMES[2] + 1500))

    def found(session):
        studio.heard(session)
        plan = plan_for(session)
        return checks_of(session, session.tracks[0], None, studio.renderer.rough(plan)).of_kind(Kind.JOIN)

    before = found(session)
    assert [each.onset for each in before] == list(session.recordings[0].onsets.ids[1:3])
    assert before[0].mends[0].words == "Lengthen crossfade"
    for _ in range(4):
        session = mended(session, track.id, track.clips[0].id, before[0], 0)
    assert session.tracks[0].moving.crossfade == 8.0
    assert not found(session)


@pytest.mark.parametrize("span", [(-500, 700), (RATE - 300, RATE + 300), (2 * RATE - 50, 3 * RATE), (5, 6)])
def test_a_recording_coloured_by_the_second_is_as_coloured_at_once(studio, span):
    sound = noise_hits([100, RATE - 100, 2 * RATE], 2 * RATE + 999, rate=RATE)
    studio.put("a" * 32, sound)

    part = coloured(studio.sources["a" * 32], 1.3, *span)

    whole = np.pad(recoloured(sound, RATE, 0, len(sound), 1.3), ((RATE, RATE), (0, 0)))
    np.testing.assert_allclose(part, whole[RATE + span[0] : RATE + span[1]], atol=1e-6)


def test_how_rough_a_recording_is_is_found_in_parts_and_gone_on_with(studio, monkeypatch):
    monkeypatch.setattr("chronotome.render.rough.AT_ONCE", 1000)
    sound = noise_hits([100, 2900], 4000, rate=RATE)
    studio.put("a" * 32, sound)
    source, asked = studio.sources["a" * 32], iter([True, True, False])

    assert roughest(source, lambda: next(asked)) is None
    assert source.rough_until == 2000
    assert roughest(source, lambda: True) == pytest.approx(float(second_difference(sound).max()))


@pytest.mark.parametrize("material", [Instrument.DRUMS, Instrument.MIXED])
@pytest.mark.parametrize("semitones", [3.0, 12.0, -5.0])
@pytest.mark.parametrize("late", [-500, 0, 500])
def test_at_another_pitch_nothing_is_heard_before_an_attack_wherever_its_mark_is(material, semitones, late):
    studio = Studio()
    session = simple_session([6000, 30000 + late, 54000 + late], 72000)
    studio.put(session.recordings[0].content, noise_hits([6000, 30000, 54000], 72000, rate=RATE))
    session = replace(session, recordings=(replace(session.recordings[0], material=material),))
    plain = np.abs(studio.heard(session)).max(axis=1)
    pitched = set_moving(session, session.tracks[0].id, semitones=semitones)
    heard = np.abs(studio.heard(pitched)).max(axis=1)

    for frame in (30000, 54000):
        assert plain[frame : frame + 1000].max() > 0.2
        assert heard[frame - 10 : frame + 60].max() > 0.2
        assert heard[frame - 3000 : frame - 300].max() < 0.01 + 2 * plain[frame - 3000 : frame - 300].max()
