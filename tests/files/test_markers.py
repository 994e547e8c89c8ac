"""What files say of themselves: tempo, bars and sections come back, and the sound stays what it was."""

import shutil
import struct
import subprocess

import numpy as np
import pytest
import soundfile
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.files import ogg, riff
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.markers import (
    Markers,
    fit_told,
    markers_of,
    metre_told,
    put_markers,
    read_markers,
    sections_of,
)
from chronotome.files.tags import texts_of
from chronotome.session.edits.sections import add_section
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.fit import Fit
from chronotome.session.grid import TempoChange, TempoMap
from chronotome.session.metre import Metre, MetreMap
from chronotome.session.model import Session, replace
from sounds import noise_hits, write

RATE = 48000
CUES = ((0.5, "Verse ü & 𝄞"), (1.25, ""), (1.5, "Chorus"))
TOLD = Markers(92.123456, "7/8", 0.652083333, CUES)


def written(folder, name, markers=TOLD, seconds=2.0):
    encoding = ENCODINGS[name]
    path = folder / f"take{encoding.suffix}"
    sound = np.random.default_rng(3).standard_normal((int(seconds * RATE), 2)).astype(np.float32) * 0.1
    soundfile.write(path, sound, RATE, format=encoding.container, subtype=encoding.subtype)
    before = soundfile.read(path)[0]
    with path.open("r+b") as file:
        put_markers(file, encoding, markers, RATE, len(sound))
    return path, before


@pytest.mark.parametrize("name", ["wav16", "wavfloat", "flac24", "ogg", "opus", "mp3"])
def test_they_come_back_from_every_kind_of_file_and_no_sample_is_another(tmp_path, name):
    path, before = written(tmp_path, name)
    after = soundfile.read(path)[0]
    assert np.array_equal(before, after)
    told = read_markers(path)
    assert (told.tempo, told.metre, told.beat_one) == (TOLD.tempo, TOLD.metre, TOLD.beat_one)
    assert [name for _, name in told.cues] == [name for _, name in CUES]
    assert [at for at, _ in told.cues] == pytest.approx([at for at, _ in CUES], abs=0.0006)


@pytest.mark.parametrize("name", ["wav24", "flac16", "ogg", "opus", "mp3"])
def test_other_programs_read_them_too(tmp_path, name):
    if shutil.which("ffprobe") is None:
        pytest.skip("no ffprobe here")
    path, _ = written(tmp_path, name)
    words = ["ffprobe", "-v", "error", "-show_chapters", "-show_entries", "format_tags:stream_tags"]
    told = subprocess.run([*words, str(path)], capture_output=True, text=True, check=True)
    assert "BPM=92.123456" in told.stdout
    assert "title=Chorus" in told.stdout
    assert told.stdout.count("[CHAPTER]") == len(CUES)
    assert not told.stderr


def test_more_comments_than_a_page_holds_are_refused_and_few_leave_room(tmp_path):
    path, _ = written(tmp_path, "ogg", Markers())
    with path.open("r+b") as file, pytest.raises(ValueError, match="more than a page"):
        ogg.add_to_ogg(file, [("KEY", "x" * 70_000)])


def test_a_loop_says_that_it_goes_round(tmp_path):
    path, _ = written(tmp_path, "wav24", replace_loop(TOLD))
    body = path.read_bytes()
    at = body.index(b"smpl")
    loops = np.frombuffer(body[at + 8 : at + 8 + 60], "<u4")
    assert (loops[7], loops[-4], loops[-3]) == (1, 0, 2 * RATE - 1)


def replace_loop(markers):
    return Markers(markers.tempo, markers.metre, markers.beat_one, markers.cues, is_loop=True)


def test_a_file_of_more_than_four_gigabytes_is_left_as_it_is(tmp_path):
    path = tmp_path / "long.wav"
    soundfile.write(path, np.zeros((100, 2)), RATE, format="RF64", subtype="PCM_24")
    before = path.read_bytes()
    with path.open("r+b") as file:
        put_markers(file, ENCODINGS["wav24"], TOLD, RATE, 100)
    assert path.read_bytes() == before


@settings(deadline=None, max_examples=60)
@given(st.integers(0, 400), st.integers(1, 255), st.sampled_from(["wav24", "flac24", "ogg", "mp3"]))
def test_damage_raises_nothing(tmp_path_factory, at, by, name):
    path, _ = written(tmp_path_factory.mktemp("d"), name, seconds=0.05)
    data = bytearray(path.read_bytes())
    at = at if name != "wav24" else len(data) - 1 - at
    data[at] ^= by
    path.write_bytes(data)
    told = read_markers(path)
    assert told.tempo is None or 10 <= told.tempo <= 1000


def test_what_is_told_is_of_the_span_that_is_written():
    session = set_beat_one(set_tempo(Session(rate=RATE), 120.0), 0.25)
    session = add_section(add_section(session, "verse", 0.0, 8.0), "bridge", 8.0, 12.0)
    second = 0.5 * RATE

    told = markers_of(session, round(0.25 * RATE + 2 * second), round(0.25 * RATE + 11 * second))
    assert (told.tempo, told.metre, told.beat_one) == (120.0, "4/4", 1.0)
    assert told.cues == ((3.0, "bridge"),)
    whole = markers_of(session, 0, 10 * RATE)
    assert whole.beat_one == 0.25
    assert whole.cues == ((0.25, "verse"), (4.25, "bridge"), (6.25, ""))
    assert sections_of(whole, 10.0) == session.sections
    bends = replace(session, tempo=TempoMap((TempoChange(0.0, 120.0), TempoChange(8.0, 90.0)), 0.25))
    assert markers_of(bends, 0, 10 * RATE).tempo is None
    assert markers_of(bends, 0, 2 * RATE).tempo == 120.0
    assert markers_of(bends, 5 * RATE, 10 * RATE).tempo == 90.0


def test_only_what_can_be_believed_is():
    assert fit_told(Markers(120.0, "", 0.5), 1000, 400) == Fit(tempo=120.0, beat_one=399)
    assert fit_told(Markers(120.0), 1000, 400) == Fit()
    assert metre_told(Markers(metre="7/8")) == MetreMap(Metre(7, 8))
    assert [metre_told(Markers(metre=words)) for words in ("", "0/4", "99/4", "4/3")] == [None] * 4
    assert sections_of(Markers(cues=((1.0, "a"),)), 9.0) == ()


def test_tags_without_end_are_not_read_to_it(tmp_path):
    frames = (b"TXXX\0\0\0\x02\0\0\x03a") * 300_000
    size = bytes((len(frames) >> shift) & 0x7F for shift in (21, 14, 7, 0))
    path = tmp_path / "odd.mp3"
    path.write_bytes(b"ID3\x04\0\0" + size + frames + bytes(2000))
    assert texts_of(path) == {}
    points = struct.pack("<I", 690_000) + struct.pack("<II4sIII", 1, 7, b"data", 0, 0, 7) * 690_000
    wav = write(tmp_path / "odd.wav", noise_hits([100], 9000, rate=48000), rate=48000)
    with wav.open("r+b") as file:
        riff.append(file, riff.chunk(b"cue ", points))
    assert len(read_markers(wav).cues) == 1
