import numpy as np
import pytest

from chronotome.dsp.audio import audio_of
from chronotome.dsp.bands import Band, Instrument
from chronotome.dsp.onsets import detection, novelty
from chronotome.dsp.onsets.attack import nearest_attack, nearest_crossing
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.dsp.onsets.doubled import bring_nothing
from chronotome.dsp.onsets.rises import octave_rises
from chronotome.errors import Cancelled
from sounds import RATE, click_train, noise_hits, sine

SPACED = [4410 + 9000 * place + 37 * place * place for place in range(20)]


def test_every_planted_hit_is_found_once_and_to_the_frame():
    train = click_train(SPACED, 240000)

    found = detect_onsets(train.audio)

    sure = found.frames[found.strengths >= 45]
    assert len(sure) == len(train.frames)
    assert np.abs(sure - train.frames).max() <= 8


def test_gain_changes_nothing():
    samples = noise_hits(SPACED, 240000)

    loud, soft = (detect_onsets(audio_of(samples * gain, RATE)) for gain in (1.0, 0.0625))

    np.testing.assert_array_equal(loud.frames, soft.frames)
    np.testing.assert_allclose(loud.strengths, soft.strengths, atol=0.02)


def slow_tones(frames, length):
    tones = np.zeros((length, 1), np.float32)
    for place, frame in enumerate(frames):
        tone = sine(220 * 1.06**place, 0.5)
        swell = np.minimum(1, np.arange(len(tone)) / (0.06 * RATE))[:, None]
        tones[frame : frame + len(tone)] += (0.3 * tone * swell * swell[::-1]).astype(np.float32)
    return tones


@pytest.mark.parametrize("frames", [1, 100, 1234])
def test_a_shifted_recording_is_heard_alike_to_its_faintest_candidate(frames):
    samples = np.concatenate([noise_hits(SPACED[:10], 120000), slow_tones(SPACED[:4], 120000)])
    shifted = np.concatenate([samples[:frames] * 0, samples])

    first, second = (detect_onsets(audio_of(each, RATE)) for each in (samples, shifted))

    assert len(first) >= 13
    assert np.abs(second.frames - first.frames - frames).max() <= 1
    np.testing.assert_allclose(first.strengths, second.strengths, atol=0.2)


def test_all_hops_meet_where_they_are_said_to():
    silence = np.zeros(RATE, np.float32)
    hops = [novelty.novelty(silence, RATE).hop, octave_rises(silence, RATE).hop, 4 * 110 * novelty.BLOCK]

    assert [detection.HOPS_MEET % hop for hop in hops] == [0, 0, 0]


@pytest.mark.parametrize("channels", [2, 6])
def test_channels_that_cancel_each_other_are_heard_all_the_same(channels):
    samples = noise_hits(SPACED, 240000, channels=channels)
    samples[:, 1] = -samples[:, 0]

    found = detect_onsets(audio_of(samples, RATE))

    assert (found.strengths >= 45).sum() == len(SPACED)


@pytest.mark.parametrize("rate", [8000, 22050, 96000])
def test_odd_rates_find_the_same_hits(rate):
    frames = [round(frame * rate / RATE) for frame in SPACED]
    train = click_train(frames, round(240000 * rate / RATE), rate=rate)

    found = detect_onsets(train.audio)

    distances = np.abs(found.frames[:, None] - train.frames[None]).min(axis=0)
    assert distances.max() <= 0.003 * rate


def test_an_attack_at_frame_0_is_found():
    found = detect_onsets(audio_of(noise_hits([0, 20000, 40000], 60000), RATE))

    assert found.frames[found.strengths >= 45][0] <= 8


@pytest.mark.parametrize("samples", [np.zeros((50000, 1)), np.zeros((10, 2)), np.ones((0, 1))])
def test_nothing_is_found_in_nothing(samples):
    assert len(detect_onsets(audio_of(samples.astype(np.float32), RATE))) == 0


def test_a_ghost_counts_and_the_floor_does_not():
    levels = [0.9, 0.02, 0.9, 0.02]
    samples = noise_hits([10000, 30000, 50000, 70000], 90000, loudness=levels)

    found = detect_onsets(audio_of(samples, RATE))

    distances = np.abs(found.frames[:, None] - np.array([10000, 30000, 50000, 70000])[None]).min(axis=1)
    assert (found.strengths[distances < 20] > 45).sum() == 4
    assert (found.strengths[distances >= 20] < 45).all()


def test_bands_follow_the_sound():
    low = sine(80, 1.0)[:, 0] * np.exp(-np.arange(RATE) / 4000)
    random = np.random.default_rng(2)
    high = np.diff(random.standard_normal(RATE + 2), 2) * np.exp(-np.arange(RATE) / 1500) * 0.1
    sound = np.concatenate([np.zeros(4000), low, high]).astype(np.float32)

    found = detect_onsets(audio_of(sound, RATE))

    bands = {Band(int(found.bands[np.abs(found.frames - frame).argmin()])) for frame in (4000, 4000 + RATE)}
    assert bands == {Band.LOW, Band.HIGH}


def test_progress_stops_it():
    def stop(_fraction):
        raise Cancelled

    with pytest.raises(Cancelled):
        detect_onsets(click_train(SPACED, 240000).audio, progress=stop)


def damaged(kind):
    """Hits as a person may bring them, and none of it their fault."""
    samples = noise_hits(SPACED, 240000)
    if kind == "offset":
        return samples + np.float32(0.3)
    if kind == "hum":
        return samples + 0.02 * sine(50, 240000 / RATE)[: len(samples)]
    if kind == "clipped":
        return np.clip(samples * 8, -1, 1)
    if kind == "very quiet":
        return samples * np.float32(1e-4)
    if kind == "late":
        return np.concatenate([np.zeros((3 * RATE, 1), np.float32), samples])
    return np.concatenate([samples, noise_hits([0], 2000)])  # the last hit starts just before the end


@pytest.mark.parametrize("kind", ["offset", "hum", "clipped", "very quiet", "late", "at the end"])
def test_hits_are_found_whatever_befell_the_recording(kind):
    samples = damaged(kind)
    expected = np.array(SPACED) + (3 * RATE if kind == "late" else 0)
    if kind == "at the end":
        expected = np.append(expected, 240000)

    found = detect_onsets(audio_of(samples, RATE))

    sure = found.frames[found.strengths >= 45]
    assert len(sure) == len(expected)
    assert np.abs(sure - expected).max() <= 0.001 * RATE


def test_a_long_recording_is_heard_in_parts_as_it_is_heard_whole(monkeypatch):
    frames = [round(k * 0.31 * RATE) + 11 * (k % 7) for k in range(1, 190)]
    audio = click_train(frames, 60 * RATE).audio

    whole = detect_onsets(audio)
    monkeypatch.setattr(detection, "LONGEST_PART", 9.0)
    parts = detect_onsets(audio)

    sure = [each.frames[each.strengths >= 45] for each in (whole, parts)]
    np.testing.assert_array_equal(*sure)
    assert len(sure[0]) == len(frames)


def test_strokes_of_a_flam_are_two_candidates():
    main = [20000, 60000, 100000, 140000]
    grace = [frame - round(0.025 * RATE) for frame in main]
    levels = [0.25] * 4 + [0.9] * 4
    order = np.argsort(grace + main)
    frames, levels = np.array(grace + main)[order].tolist(), np.array(levels)[order].tolist()

    found = detect_onsets(audio_of(noise_hits(frames, 170000, loudness=levels, decay=0.004), RATE))

    sure = found.frames[found.strengths >= 45]
    distances = np.abs(sure[:, None] - np.array(frames)[None]).min(axis=0)
    assert distances.max() <= 0.002 * RATE


def test_louder_hits_are_stronger_and_faint_ones_still_count():
    levels = [0.9, 0.3, 0.1, 0.03]
    samples = noise_hits([10000, 40000, 70000, 100000], 130000, loudness=levels)

    found = detect_onsets(audio_of(samples, RATE))

    strengths = found.strengths[found.strengths >= 45]
    assert len(strengths) == 4
    assert (np.diff(strengths) < 0).all()


def test_the_material_is_heard_and_can_be_said():
    audio = click_train(SPACED, 240000).audio

    assert detect_onsets(audio).material is Instrument.DRUMS
    assert detect_onsets(audio, material=Instrument.SUSTAINED).material is Instrument.SUSTAINED


def test_a_slow_attack_is_less_sure_than_a_click():
    tone = sine(330, 1.5) * np.minimum(1, np.arange(round(1.5 * RATE)) / (0.08 * RATE))[:, None]
    sound = np.concatenate([noise_hits([20000], 60000), tone * 0.5, np.zeros((9000, 1))]).astype(np.float32)

    found = detect_onsets(audio_of(sound, RATE))

    click = found.doubts[np.abs(found.frames - 20000).argmin()]
    slow = found.doubts[np.abs(found.frames - 60000).argmin()]
    assert 2 * click < slow


def test_the_attack_near_a_frame_is_found_and_silence_has_none():
    samples = noise_hits([20000], 60000, channels=2)

    for off in (-900, -200, 0, 300, 1000):
        assert nearest_attack(samples, RATE, 20000 + off, 0.03) == pytest.approx(20000, abs=8)
    assert nearest_attack(samples, RATE, 40000, 0.03) is None
    assert nearest_attack(np.zeros((5000, 1), np.float32), RATE, 2000, 0.03) is None
    assert nearest_attack(noise_hits([0], 5000), RATE, 100, 0.03) == pytest.approx(0, abs=8)


@pytest.mark.parametrize("at", [100, 1234, 9990])
def test_a_crossing_is_where_the_sign_turns(at):
    wave = sine(440, 10000 / RATE)

    found = nearest_crossing(wave, at, 200)

    assert wave[found - 1, 0] * wave[found, 0] <= 0
    assert abs(found - at) <= RATE / 880 + 1
    assert nearest_crossing(np.ones((500, 2), np.float32), 250, 100) == 250


def sure_of(samples, rate=RATE):
    found = detect_onsets(audio_of(samples, rate))
    return found.frames[found.strengths >= 45]


def test_a_mark_sits_on_the_stroke_and_not_on_the_breath_before_it():
    random = np.random.default_rng(5)
    samples = noise_hits(SPACED, 240000)
    length = int(0.022 * RATE)
    for frame in SPACED[1:]:
        breath = random.standard_normal(length) * np.linspace(0, 1, length) ** 2
        samples[frame - length : frame, 0] += (0.012 * breath).astype(np.float32)

    sure = sure_of(samples)

    assert len(sure) == len(SPACED)
    assert np.abs(sure - SPACED).max() < 0.0025 * RATE


def test_strokes_behind_short_gaps_are_marked_and_the_cut_tails_are_not():
    samples = noise_hits(SPACED, 240000, decay=0.08)
    gap = int(0.006 * RATE)
    for frame in SPACED[1:]:
        samples[frame - gap : frame] = 0

    sure = sure_of(samples)

    away = np.abs(sure[:, None] - np.array(SPACED))
    assert away.min(axis=0).max() < 0.002 * RATE
    assert not ((sure[:, None] < np.array(SPACED)) & (away < 2 * gap) & (away > 0.002 * RATE)).any()
    assert len(sure) <= len(SPACED) + 1  # a decay of noise may swell once


@pytest.mark.parametrize("milliseconds", [20, 30, 45])
def test_a_grace_note_and_its_stroke_have_a_mark_each(milliseconds):
    early = round(milliseconds * RATE / 1000)
    graces = [frame - early for frame in SPACED[1:]]
    samples = noise_hits(SPACED, 240000) + noise_hits(graces, 240000, loudness=[0.2] * 19, seed=9)

    sure = sure_of(samples)

    near = np.abs(sure[:, None] - np.array([*graces, *SPACED])[None]).min(axis=0)
    assert (near < 0.003 * RATE).mean() > 0.94


def test_marks_stay_when_a_file_is_resampled():
    import soxr

    samples = noise_hits(SPACED, 240000, loudness=[0.2 + 0.03 * place for place in range(20)])

    first, second = sure_of(samples), sure_of(soxr.resample(samples, RATE, 48000), 48000)

    assert np.abs(first / RATE - second / 48000).max() < 0.001


def test_of_two_attacks_close_together_the_weaker_is_faint_where_it_is_unsure():
    frames, strengths = np.array([0, 900, 20000, 20900]), np.array([90.0, 70.0, 60.0, 80.0])
    unsure = np.array([True, True, False, False])

    left = detection._slow_attacks_once(frames, strengths, unsure, RATE)

    assert left.tolist() == [90.0, detection.FAINT, 60.0, 80.0]


def test_a_second_mark_on_one_attack_is_faint_and_a_second_stroke_is_not():
    struck = noise_hits(SPACED, 240000, seed=4)
    early = round(0.012 * RATE)
    flams = noise_hits([frame - early for frame in SPACED], 240000, loudness=[0.25] * 20, seed=9)
    twice = np.sort(np.concatenate([SPACED, np.array(SPACED) + early]))
    strokes = np.sort(np.concatenate([SPACED, np.array(SPACED) - early]))

    second = bring_nothing(struck, RATE, twice)
    assert not second[::2].any()
    assert second[1::2].mean() >= 0.75  # noise is louder by chance now and then
    assert not bring_nothing(struck + flams, RATE, strokes).any()
    left = detection._found_twice(audio_of(struck, RATE), twice[:4], np.array([60.0, 80.0, 90.0, 40.0]))
    assert left.tolist() == [80.0, detection.FAINT, 90.0, 40.0]
