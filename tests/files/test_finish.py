"""What becomes of a mix on its way into a file: rate, level, a loop that closes, dither; nothing unasked."""

import numpy as np
import pytest
import soundfile

from chronotome.dsp.loudness import LoudnessMeter, loudness
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.export import export_mix
from chronotome.files.finish import Aim, Finish
from sounds import noise_hits

RATE = 48000


class Mixed:
    """Samples as a mix would give them: silence beyond its ends."""

    def __init__(self, samples) -> None:
        self.samples = np.asarray(samples, np.float32)
        self.frames, self.channels = self.samples.shape

    def read(self, start, count, _side):
        part = self.samples[start : start + count]
        return np.concatenate([part, np.zeros((count - len(part), self.channels), np.float32)])


def tone(hertz, seconds, level, channels=2):
    wave = level * np.sin(2 * np.pi * hertz * np.arange(round(seconds * RATE)) / RATE)
    return Mixed(np.repeat(wave[:, None], channels, 1))


def written(tmp_path, mix, finish, name="wavfloat", start=0, end=None):
    encoding = ENCODINGS[name]
    path = tmp_path / f"out{encoding.suffix}"
    export_mix(mix, path, rate=RATE, encoding=encoding, start=start, end=end, finish=finish)
    return soundfile.read(path, dtype="float32", always_2d=True)


@pytest.fixture
def drums():
    return Mixed(0.4 * noise_hits([0, 30000, 90000, 150000], 200000, rate=RATE, channels=2))


def test_with_the_usual_finish_the_samples_are_those_that_were_heard(tmp_path, drums):
    samples, rate = written(tmp_path, drums, Finish(), start=500, end=170000)
    np.testing.assert_array_equal(samples, drums.samples[500:170000])
    assert rate == RATE


@pytest.mark.parametrize("rate", [0, 44100])
def test_the_loudest_sample_is_brought_to_a_peak(tmp_path, drums, rate):
    samples, _ = written(tmp_path, drums, Finish(rate=rate, aim=Aim.PEAK, level=-3.0))
    assert 20 * np.log10(np.abs(samples).max()) == pytest.approx(-3.0, abs=0.001)


@pytest.mark.parametrize("level", [-23.0, -14.0])
def test_loudness_is_brought_to_what_is_wanted(tmp_path, drums, level):
    samples, _ = written(tmp_path, drums, Finish(aim=Aim.LOUDNESS, level=level))
    assert loudness(samples, RATE) == pytest.approx(level, abs=0.01)


def test_silence_stays_silence_and_faint_sound_is_not_made_huge(tmp_path):
    for aim in (Aim.PEAK, Aim.LOUDNESS):
        samples, _ = written(tmp_path, Mixed(np.zeros((60000, 2))), Finish(aim=aim))
        assert not samples.any()
    samples, _ = written(tmp_path, tone(500, 1.0, 2e-6), Finish(aim=Aim.PEAK, level=0.0))
    assert np.abs(samples).max() == pytest.approx(2e-3, rel=0.01)


def test_the_meter_is_that_of_the_recommendation_block_by_block():
    """BS.1770: a sine of 997 Hz at full scale on one channel is -3.01 LUFS."""
    one = tone(997, 4.0, 1.0).samples * [1.0, 0.0]
    assert loudness(one, RATE) == pytest.approx(-3.01, abs=0.01)
    gated = np.concatenate([tone(997, 4.0, 0.1).samples, np.zeros((8 * RATE, 2), np.float32)])
    assert loudness(gated, RATE) == pytest.approx(loudness(gated[: 4 * RATE], RATE), abs=0.2)
    meter = LoudnessMeter(RATE, 2)
    for start in range(0, len(gated), 7777):
        meter.add(gated[start : start + 7777])
    assert meter.value == pytest.approx(loudness(gated, RATE), abs=1e-9)


@pytest.mark.parametrize("rate", [22050, 44100, 96000])
def test_another_rate_keeps_length_pitch_and_level(tmp_path, rate):
    samples, read = written(tmp_path, tone(1000, 2.0, 0.5), Finish(rate=rate))
    assert (read, len(samples)) == (rate, 2 * rate)
    inner = slice(rate // 4, -rate // 4)
    truth = 0.5 * np.sin(2 * np.pi * 1000 * np.arange(2 * rate) / rate)
    np.testing.assert_allclose(samples[inner, 0], truth[inner], atol=1e-4)


def test_a_rate_that_a_kind_of_file_cannot_hold_becomes_the_next_that_it_can(tmp_path):
    samples, rate = written(tmp_path, tone(1000, 1.0, 0.5), Finish(rate=44100), "opus")
    assert rate == 48000
    assert len(samples) == pytest.approx(48000, abs=2000)
    assert Finish(rate=192000).rate_for(ENCODINGS["mp3"], RATE) == 48000
    assert Finish().rate_for(ENCODINGS["mp3"], 11025) == 16000
    assert Finish().rate_for(ENCODINGS["wav24"], 11025) == 11025


def test_a_loop_that_closes_has_its_ring_at_its_start_however_long_it_rings(tmp_path):
    start, end = 1000, 11000
    ring = Mixed(np.repeat(np.arange(40000, dtype=np.float32)[:, None] / 40000, 2, 1))
    samples, _ = written(tmp_path, ring, Finish(closes=True), start=start, end=end)
    wanted = sum(ring.read(start + lap * 10000, 10000, None) for lap in range(4))
    np.testing.assert_allclose(samples, wanted, atol=1e-6)


def test_what_rings_after_the_end_is_written_as_long_as_wanted(tmp_path, drums):
    samples, _ = written(tmp_path, drums, Finish(tail=0.5), end=100000)
    np.testing.assert_array_equal(samples, drums.samples[:124000])
    closed, _ = written(tmp_path, drums, Finish(tail=0.5, closes=True), end=100000)
    assert len(closed) == 100000


def test_dither_keeps_what_is_less_than_a_step_and_is_the_same_each_time(tmp_path):
    faint = Mixed(np.full((200000, 2), 0.3 / 32768))
    with_it, _ = written(tmp_path, faint, Finish(), "wav16")
    again, _ = written(tmp_path, faint, Finish(), "wav16")
    without, _ = written(tmp_path, faint, Finish(is_dithered=False), "wav16")
    assert with_it.mean() * 32768 == pytest.approx(0.3, abs=0.01)
    assert (with_it.std() * 32768) ** 2 == pytest.approx(0.25, abs=0.02)  # of noise and rounding
    np.testing.assert_array_equal(with_it, again)
    assert not without.any()
    deeper, _ = written(tmp_path, faint, Finish(), "wav24")
    np.testing.assert_allclose(deeper, faint.samples, atol=0.5 / 2**23)
