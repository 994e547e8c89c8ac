import errno
import os

import numpy as np
import pytest
import soundfile

from chronotome.errors import CannotWrite, UnusableFile
from chronotome.files.audio_file import facts_of, load_source, read_audio
from chronotome.files.audio_out import ENCODINGS, write_blocks
from chronotome.render.arena import Arena
from sounds import RATE, noise_hits, sine, write

HITS = noise_hits([1000, 9000], 20000, channels=2)


def load(path, rate=None):
    facts = facts_of(path)
    return facts, load_source(facts, Arena(), rate or facts.rate)


@pytest.mark.parametrize(
    ("suffix", "subtype", "exact"),
    [
        (".wav", "PCM_16", False),
        (".wav", "PCM_24", False),
        (".wav", "PCM_32", False),
        (".wav", "FLOAT", True),
        (".aiff", "PCM_24", False),
        (".flac", "PCM_24", False),
    ],
)
def test_whole_number_and_float_files_come_in_as_they_are(tmp_path, suffix, subtype, exact):
    path = write(tmp_path / f"take{suffix}", HITS, subtype=subtype)

    facts, source = load(path)

    assert (facts.rate, facts.frames, facts.channels) == (RATE, 20000, 2)
    np.testing.assert_allclose(source.region.samples, HITS, atol=0 if exact else 2**-15)
    assert source.is_whole
    assert source.overview.highs.max() == source.region.samples.max()


@pytest.mark.parametrize(("suffix", "rate"), [(".ogg", RATE), (".mp3", RATE), (".opus", 48000)])
def test_lossy_files_come_in_too(tmp_path, suffix, rate):
    tone = sine(440, 1.0, rate=rate)
    subtype = {".ogg": "VORBIS", ".mp3": "MPEG_LAYER_III", ".opus": "OPUS"}[suffix]
    path = write(tmp_path / f"take{suffix}", tone, rate=rate, subtype=subtype)

    _, source = load(path)

    assert np.std(source.region.samples[2000:20000]) == pytest.approx(np.std(tone), rel=0.1)


@pytest.mark.parametrize("rate", [32000, 96000])
def test_another_rate_keeps_pitch_place_and_length(tmp_path, rate):
    path = write(tmp_path / "take.wav", sine(1000, 2.0))

    _, source = load(path, rate)

    expected = sine(1000, 2.0, rate=rate)
    assert source.region.frames == len(expected)
    np.testing.assert_allclose(source.region.samples[500:-500], expected[500:-500], atol=2e-3)


@pytest.mark.parametrize(
    ("data", "words"),
    [
        (b"", "is empty"),
        (b"this is no sound at all, only words\n" * 99, "is not an audio file"),
        (b"RIFF\x00\x00\x00\x00WAVE", "is not an audio file"),
    ],
)
def test_what_is_no_sound_is_refused_by_name(tmp_path, data, words):
    path = tmp_path / "odd.wav"
    path.write_bytes(data)

    with pytest.raises(UnusableFile, match=words) as raised:
        facts_of(path)

    assert "odd.wav" in str(raised.value)


@pytest.mark.parametrize("suffix", [".wav", ".aiff"])
def test_a_header_that_promises_more_than_there_is_is_refused(tmp_path, suffix):
    path = write(tmp_path / f"cut{suffix}", HITS)
    path.write_bytes(path.read_bytes()[:60000])

    with pytest.raises(UnusableFile, match=r"is incomplete: \d+ of \d+ bytes of audio are missing"):
        facts_of(path)


def test_a_flac_that_ends_early_is_refused_while_it_is_read(tmp_path):
    path = write(tmp_path / "cut.flac", noise_hits([100], 300000, channels=2, decay=1.0))
    path.write_bytes(path.read_bytes()[: path.stat().st_size // 2])

    with pytest.raises(UnusableFile, match="incomplete|not an audio file"):
        load(path)


@pytest.mark.parametrize("bad", [np.nan, np.inf, -np.inf])
def test_values_that_are_no_numbers_are_refused_with_their_place(tmp_path, bad):
    samples = HITS.copy()
    samples[RATE // 10, 1] = bad
    path = write(tmp_path / "bad.wav", samples, subtype="FLOAT")

    with pytest.raises(UnusableFile, match=r"invalid samples \(the first at 0.100 s\)"):
        load(path)


def test_folders_missing_files_and_too_many_channels_are_refused(tmp_path):
    many = write(tmp_path / "many.wav", np.zeros((100, 9), np.float32))
    none = write(tmp_path / "none.wav", np.zeros((0, 1), np.float32))

    for path, words in (
        (tmp_path, "is a folder"),
        (tmp_path / "gone.wav", "is missing"),
        (many, "has 9 channels"),
        (none, "has no audio"),
    ):
        with pytest.raises(UnusableFile, match=words):
            facts_of(path)


def test_a_file_that_needs_more_memory_than_there_is_is_refused(tmp_path, monkeypatch):
    path = write(tmp_path / "long.wav", HITS)
    monkeypatch.setattr("chronotome.files.audio_file._available_bytes", lambda: 1000)

    with pytest.raises(UnusableFile, match="of memory"):
        load(path)
    with pytest.raises(UnusableFile, match="of memory"):
        read_audio(path)


@pytest.mark.parametrize("name", ENCODINGS)
def test_what_is_written_reads_back(tmp_path, name):
    encoding = ENCODINGS[name]
    path, own = tmp_path / f"out{encoding.suffix}", RATE if not encoding.rates else encoding.rates[-1]

    written = write_blocks(
        path, iter([HITS[:7000], HITS[7000:]]), rate=own, channels=2, frames=20000, encoding=encoding
    )

    back, rate = soundfile.read(path, dtype="float32")
    if encoding.is_integer:  # to the nearest, not to the one below
        np.testing.assert_allclose(back, HITS, atol=0.5 / encoding.steps + 1e-9)
    elif encoding.quality is None:
        np.testing.assert_array_equal(back, HITS)
    else:
        alike = np.corrcoef(back[2000:18000, 0], HITS[2000:18000, 0])[0, 1]
        assert alike > 0.7 or encoding.subtype == "MPEG_LAYER_III"  # which comes later
        assert abs(len(back) - 20000) < 3000
    assert (rate, written.frames, written.clipped) == (own, 20000, 0)
    assert [each.name for each in tmp_path.iterdir()] == [path.name]


def test_what_is_over_full_scale_is_counted_and_held(tmp_path):
    loud = np.array([[0.5], [1.5], [-2.0]], np.float32)

    written = write_blocks(
        tmp_path / "a.wav", iter([loud]), rate=RATE, channels=1, frames=3, encoding=ENCODINGS["wav16"]
    )

    back, _ = soundfile.read(tmp_path / "a.wav")
    assert written.clipped == 2
    assert written.peak == 2.0
    assert back[1] > 0.999


@pytest.mark.parametrize(
    ("number", "words"), [(errno.ENOSPC, "disk is full"), (errno.EACCES, "is write-protected")]
)
def test_a_failed_write_leaves_the_old_file_and_no_rest(tmp_path, number, words):
    path = tmp_path / "out.wav"
    path.write_bytes(b"what was there before")

    def failing():
        yield HITS[:5000]
        raise OSError(number, os.strerror(number))

    with pytest.raises(CannotWrite, match=words):
        write_blocks(path, failing(), rate=RATE, channels=2, frames=20000, encoding=ENCODINGS["wav24"])

    assert path.read_bytes() == b"what was there before"
    assert [each.name for each in tmp_path.iterdir()] == ["out.wav"]


def test_a_folder_that_is_not_there_is_named(tmp_path):
    path = tmp_path / "gone" / "out.wav"

    with pytest.raises(CannotWrite, match="folder is missing"):
        write_blocks(path, iter([HITS]), rate=RATE, channels=2, frames=20000, encoding=ENCODINGS["wav24"])
