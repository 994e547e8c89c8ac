import numpy as np
import pytest
import soundfile

from chronotome.dsp.bands import Band
from chronotome.errors import CannotWrite, UnusableFile
from chronotome.files.audio_file import read_audio
from chronotome.files.mark import Mark
from chronotome.files.marks import MOST_MARKS, read_marks, write_marks

RATE = 48000
MARKS = [
    Mark(0.0, 100.0, Band.LOW),
    Mark(0.25 + 1 / RATE, 61.0, Band.MID),
    Mark(1.5, 50.0, Band.HIGH, is_locked=True),
]


@pytest.fixture
def take(tmp_path):
    path = tmp_path / "take.wav"
    samples = np.random.default_rng(1).uniform(-0.5, 0.5, (2 * RATE + 1, 2))
    soundfile.write(path, samples, RATE, subtype="PCM_24")
    return path


@pytest.mark.parametrize("ending", ["txt", "tsv", "csv", "wav", "mid", "jams"])
def test_marks_come_back_at_their_frame(tmp_path, take, ending):
    path = tmp_path / f"marks.{ending}"

    write_marks(path, MARKS, take, RATE)
    back = read_marks(path, RATE)

    tolerance = 1.5 if ending == "mid" else 0.1  # frames: a tick of the MIDI file is 26 microseconds
    for mark, again in zip(MARKS, back, strict=True):
        assert again.seconds * RATE == pytest.approx(mark.seconds * RATE, abs=tolerance)
    if ending in {"csv", "mid", "jams"}:
        assert [mark.band for mark in back] == [mark.band for mark in MARKS]
        assert [mark.strength for mark in back] == pytest.approx([100, 61, 50], abs=0.5)
    if ending == "csv":
        assert [mark.is_locked for mark in back] == [False, False, True]


def test_a_wav_with_cues_holds_the_very_samples(tmp_path, take):
    path = tmp_path / "marked.wav"

    write_marks(path, [Mark(0.5, name="odd"), *MARKS], take, RATE)

    np.testing.assert_array_equal(read_audio(path).samples, read_audio(take).samples)
    assert soundfile.info(path).subtype == "PCM_24"
    assert [path.name for path in tmp_path.iterdir()] == ["take.wav", "marked.wav"] or len(
        list(tmp_path.iterdir())
    ) == 2
    assert "odd" in {mark.name for mark in read_marks(path, RATE)}


def test_labels_of_others_are_read_with_comma_span_and_frequency_lines(tmp_path):
    path = tmp_path / "labels.txt"
    path.write_text("0,500000\t0,750000\tkick\n\\\t100\t200\n\n1.25\t1.25\n", encoding="utf-8")

    assert [(mark.seconds, mark.name) for mark in read_marks(path, RATE)] == [(0.5, "kick"), (1.25, "")]


@pytest.mark.parametrize(
    ("name", "content", "words"),
    [
        ("a.txt", b"not a number\tat all\n", "damaged"),
        ("a.csv", b"", "contains no onsets"),
        ("a.jams", b'{"annotations": [{"namespace": "chord", "data": []}]}', "contains no onsets"),
        ("a.jams", b'{"annotations": [{"namespace": "onset", "data": [{"time": "soon"}]}]}', "damaged"),
        ("a.jams", b'{"annotations": [{"namespace": "beat", "data": [{"time": 1e99}]}]}', "damaged"),
        (
            "a.jams",
            b'{"annotations": [{"namespace": "beat", "data": [{"time": 1, "value": ' + b"[" * 90000,
            "damaged",
        ),
        ("a.csv", b"seconds,band\n1.0,violet\n", "damaged"),
        ("a.wav", b"RIFF\x00\x00\x00\x00WAVE", "damaged"),
        ("a.wav", b"what is this", "damaged"),
        ("a.mid", b"MThd\x00", "damaged"),
        ("a.pdf", b"", "extension"),
    ],
)
def test_what_holds_no_marks_is_said_with_its_name(tmp_path, name, content, words):
    path = tmp_path / name
    path.write_bytes(content)

    with pytest.raises(UnusableFile, match=words) as caught:
        read_marks(path, RATE)
    assert name in str(caught.value)


def test_a_missing_file_and_a_missing_folder_are_said(tmp_path, take):
    with pytest.raises(UnusableFile, match=r"gone\.csv"):
        read_marks(tmp_path / "gone.csv", RATE)
    for ending in ("txt", "mid", "wav"):
        with pytest.raises(CannotWrite):
            write_marks(tmp_path / "nowhere" / f"marks.{ending}", MARKS, take, RATE)
    with pytest.raises(UnusableFile, match="extension"):
        write_marks(tmp_path / "marks.doc", MARKS, take, RATE)


@pytest.mark.parametrize(
    ("name", "data", "words"),
    [
        ("many.txt", b"1.0\n" * (MOST_MARKS + 1), "more than 100,000 onsets"),
        ("long.csv", b"frame\n" + b"9" * 400 + b"\n", "is damaged"),
    ],
)
def test_marks_without_end_and_numbers_without_end_are_told(tmp_path, name, data, words):
    (tmp_path / name).write_bytes(data)
    with pytest.raises(UnusableFile, match=words):
        read_marks(tmp_path / name, 48000)
