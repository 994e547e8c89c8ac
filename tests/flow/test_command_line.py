"""The command line as a script uses it."""

import csv
import io
import json
import os
import re
import subprocess
import sys
import tomllib
from pathlib import Path

import numpy as np
import pytest
import soundfile

from chronotome import __version__, cli
from chronotome.__main__ import main
from chronotome.dsp.audio import audio_of
from chronotome.dsp.loudness import loudness
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.files.marks import read_marks
from chronotome.files.midi_out import write_tempo_midi
from chronotome.render.mix import Side
from chronotome.session.anchors import extent_of
from chronotome.session.edits.fitting import TempoSync, set_following, set_recording_tempo
from chronotome.session.edits.metre import set_metre_from
from chronotome.session.edits.tempo import ramp_tempo, set_tempo
from chronotome.session.metre import Metre
from chronotome.session.model import Session, replace
from chronotome.ui.commands.session_files import DEMO_SESSION
from sounds import RATE, noise_hits, steady_hits, write
from strategies import simple_session

TRUTH = DEMO_SESSION.parent / "truth"


def run(*words):
    return main([str(word) for word in words])


@pytest.fixture
def take(tmp_path):
    train = steady_hits(100.0, 16, spread=0.012)
    return write(tmp_path / "take.wav", np.repeat(train.audio.samples, 2, axis=1))


def test_onsets_as_json_and_csv(take, capsys):
    assert run("onsets", take) == 0
    document = json.loads(capsys.readouterr().out)
    assert run("onsets", take, "--csv", "--threshold", "45") == 0
    rows = list(csv.DictReader(io.StringIO(capsys.readouterr().out)))

    assert (document["version"], document["rate"], len(document["onsets"])) == (1, 44100, 32)
    assert [int(row["frame"]) for row in rows] == [onset["frame"] for onset in document["onsets"]]
    assert {row["band"] for row in rows} <= {"low", "mid", "high"}


def test_tempo_as_json(take, capsys):
    assert run("tempo", take, "--json") == 0

    document = json.loads(capsys.readouterr().out)
    assert document["bpm"] == pytest.approx(100, abs=0.3)
    assert set(document) == {
        "version", "bpm", "metre", "metre_confidence", "beats", "downbeats", "confidence", "constant",
        "residual_ms", "swing", "swing_division", "loop", "candidates",
    }  # fmt: skip
    assert document["candidates"][0]["bpm"] == pytest.approx(document["bpm"], rel=0.01)
    assert document["downbeats"][0] in document["beats"]


@pytest.mark.parametrize("by", ["cutting", "stretching"])
def test_tightened_hits_are_found_again_on_their_lines(take, tmp_path, by):
    out, moves = tmp_path / "out.wav", tmp_path / "moves.json"

    fit = ("--bpm", 100, "--beat-one", 0.25, "--grid", "1/8")
    assert run("tighten", take, "-o", out, *fit, "--by", by, "--moves", moves) == 0

    samples, rate = soundfile.read(out, dtype="float32", always_2d=True)
    told = json.loads(moves.read_text())["moves"]
    found = detect_onsets(audio_of(samples, rate))
    assert samples.shape == soundfile.read(take)[0].shape
    assert len(told) == 32
    for move in told:
        assert abs(move["landed_frame"] - move["target_frame"]) <= 1
        assert np.abs(found.frames - move["target_frame"]).min() <= 0.001 * rate
        assert (move["target_frame"] / rate - 0.25) / 0.3 == pytest.approx(
            round((move["target_frame"] / rate - 0.25) / 0.3), abs=1e-3
        )


def test_swing_strength_and_window_are_obeyed(take, tmp_path):
    moves = tmp_path / "moves.json"
    common = ("tighten", take, "-o", tmp_path / "o.flac", "--bpm", 100, "--beat-one", 0.25, "--moves", moves)

    run(*common, "--strength", 0)
    still = json.loads(moves.read_text())["moves"]
    run(*common, "--leave-alone", 100)
    alone = json.loads(moves.read_text())["moves"]

    assert all(move["source_frame"] == move["target_frame"] for move in still)
    assert {move["reason"] for move in alone} == {"within tolerance"}


def test_a_session_is_rendered_in_part_and_as_played(tmp_path):
    out = tmp_path / "part.wav"

    assert run("render", DEMO_SESSION, "-o", out, "--start", 2, "--end", 3, "--as-played") == 0

    facts = soundfile.info(out)
    assert facts.frames == pytest.approx(4 * 60 / 92 * 44100, abs=1)


def test_stems_line_up_and_are_the_mix_together_as_loud_as_is_wanted(tmp_path, capsys):
    folder, out = tmp_path / "stems", tmp_path / "mix.flac"
    span = ("--start", 2, "--end", 3)

    assert run("render", DEMO_SESSION, "-o", folder, "--stems", "--loudness", -18, *span) == 0
    paths = capsys.readouterr().out.split("\n")[:-1]
    assert run("render", DEMO_SESSION, "-o", out, "--loudness", -18, *span) == 0

    parts = [soundfile.read(path, dtype="float32")[0] for path in paths]
    mix, rate = soundfile.read(out, dtype="float32")
    assert [Path(path).name for path in paths][:2] == ["01 Bucket kit.wav", "02 Room pair.wav"]
    assert {len(part) for part in parts} == {len(mix)}
    np.testing.assert_allclose(sum(parts), mix, atol=len(parts) / 2**23)
    assert loudness(mix, rate) == pytest.approx(-18.0, abs=0.01)
    assert run("render", DEMO_SESSION, "-o", folder, "--stems") == 1  # a folder with something in it
    with pytest.raises(SystemExit, match="2"):
        run("render", DEMO_SESSION, "-o", out, "--peak", -1, "--loudness", -14)


def test_the_version_is_told_in_one_line_and_is_that_of_the_package(capsys):
    for words in (["--version"], ["some.wav", "--version"]):
        with pytest.raises(SystemExit, match="0"):
            main(words)
        assert capsys.readouterr().out == f"chronotome {__version__}\n"
    named = tomllib.loads((Path(__file__).parents[2] / "pyproject.toml").read_text())
    assert named["project"]["version"] == __version__


def test_onsets_are_thinned_and_written_as_marks(take, tmp_path, capsys):
    places = {name: tmp_path / f"marks.{name}" for name in ("txt", "mid", "wav")}
    out = ("--labels", places["txt"], "--midi", places["mid"], "--cue", places["wav"])

    assert run("onsets", take, "--material", "drums", "--strongest-per", "beat", *out) == 0
    per_beat = json.loads(capsys.readouterr().out)
    run("onsets", take, "--strongest-per", "2.4")
    sparse = json.loads(capsys.readouterr().out)["onsets"]

    frames = [onset["frame"] for onset in per_beat["onsets"]]
    assert (len(frames), per_beat["material"]) == (16, "drums")
    assert np.diff([onset["seconds"] for onset in sparse]).min() >= 2.4
    for place in places.values():
        again = [round(mark.seconds * 44100) for mark in read_marks(place, 44100)]
        assert np.abs(np.array(again) - frames).max() <= 1


@pytest.mark.parametrize(
    "wrong", [("--strongest-per", "moon"), ("--least-spacing", "-1"), ("--material", "tin")]
)
def test_wrong_options_of_onsets_are_wrong_usage(take, wrong):
    with pytest.raises(SystemExit) as caught:
        run("onsets", take, *wrong)
    assert caught.value.code == 2


@pytest.mark.parametrize(
    ("at", "count"), [(("onsets",), 83), (("1/8", "--bpm", "92", "--beat-one", "0.65"), 70), (("7",), 7)]
)
def test_slices_put_end_to_end_are_the_recording(tmp_path, at, count):
    path = DEMO_SESSION / "audio" / "bucket_kit.flac"

    assert run("split", path, "-o", tmp_path / "out", "--at", *at) == 0

    document = json.loads((tmp_path / "out" / "slices.json").read_text())
    slices = document["slices"]
    samples, rate = soundfile.read(path, dtype="float32", always_2d=True)
    parts = [soundfile.read(tmp_path / "out" / each["file"], dtype="float32")[0] for each in slices]
    np.testing.assert_array_equal(np.concatenate(parts), samples)
    assert (document["version"], document["rate"], len(slices)) == (1, rate, count)
    assert [each["start_frame"] for each in slices[1:]] == [each["end_frame"] for each in slices[:-1]]
    assert [each["file"] for each in slices] == sorted(each["file"] for each in slices)
    assert slices[1]["band"] == "low"
    assert slices[1]["strength"] > 90


def test_slices_are_not_written_over_anything_nor_is_a_folder_made_for_nothing(tmp_path, take, capsys):
    (tmp_path / "theirs").mkdir()
    (tmp_path / "theirs" / "song.txt").write_text("la")

    assert run("split", take, "-o", tmp_path / "theirs") == 1
    assert "new or empty folder" in capsys.readouterr().err
    assert run("split", tmp_path / "theirs" / "song.txt", "-o", tmp_path / "new") == 1
    assert not (tmp_path / "new").exists()
    with pytest.raises(SystemExit):
        run("split", take, "-o", tmp_path / "new", "--at", "moon")


def test_a_pattern_of_slices_is_the_recording_as_it_was(tmp_path):
    path = DEMO_SESSION / "audio" / "tongue_drum.flac"
    assert (
        run("split", path, "-o", tmp_path / "out", "--at", "1/16", "--bpm", "92", "--beat-one", "0.65") == 0
    )

    out = tmp_path / "again.wav"
    assert run("pattern", tmp_path / "out", "-o", out, "--bpm", "104.5", "--bars", "10") == 0

    samples, rate = soundfile.read(path, dtype="float32", always_2d=True)
    written, written_rate = soundfile.read(out, dtype="float32", always_2d=True)
    assert (written_rate, len(written)) == (rate, round(40 * 60 / 104.5 * rate))
    np.testing.assert_array_equal(written[: len(samples)], samples)


def test_a_pattern_says_what_it_cannot_play(tmp_path, take, capsys):
    out = tmp_path / "out.wav"
    assert run("pattern", tmp_path, "-o", out, "--bpm", "100", "--bars", "2") == 1
    assert "contains no pattern" in capsys.readouterr().err
    assert run("split", take, "-o", tmp_path / "slices", "--at", "4") == 0
    assert run("pattern", tmp_path / "slices", "-o", tmp_path / "out.txt", "--bpm", "100", "--bars", "2") == 1
    (tmp_path / "slices" / "slices.json").write_text('{"version":1,"rate":44100,"slices":[{"file":"../x"}]}')
    assert run("pattern", tmp_path / "slices", "-o", out, "--bpm", "100", "--bars", "2") == 1
    assert "slices.json" in capsys.readouterr().err
    assert not out.exists()
    with pytest.raises(SystemExit):
        run("pattern", tmp_path / "slices", "-o", out, "--bpm", "4", "--bars", "2")


def test_the_demo_s_truth_is_found_in_its_recordings():
    for name, share in (
        ("bucket_kit", 1.0),
        ("room_pair", 1.0),
        ("hand_claps", 1.0),
        ("ferry_shaker", 1.0),
        ("bell_line_1", 1.0),
    ):
        truth = json.loads((TRUTH / f"{name}.json").read_text())
        samples, rate = soundfile.read(
            DEMO_SESSION / "audio" / f"{name}.flac", dtype="float32", always_2d=True
        )
        found = detect_onsets(audio_of(samples, rate))
        hits = np.array([onset["frame"] for onset in truth["onsets"]])

        sure = found.frames[found.strengths >= 45]
        near = np.abs(sure[:, None] - hits[None]).min(axis=0) <= 0.005 * rate

        assert near.mean() >= share, name
        assert len(sure) <= len(hits) + 3, name


@pytest.mark.parametrize(
    ("make", "words"),
    [
        (lambda path: path.write_bytes(b""), "is empty"),
        (lambda path: path.write_text("words" * 100), "not an audio file"),
        (lambda path: write(path, np.zeros((44100, 1), np.float32)), "is silent"),
        (
            lambda path: write(path, np.full((4410, 1), np.nan, np.float32), subtype="FLOAT"),
            "invalid samples",
        ),
        (lambda _path: None, "is missing"),
    ],
)
@pytest.mark.parametrize("command", [("onsets",), ("tempo",), ("tighten", "--bpm", "90", "-o", "out.wav")])
def test_bad_input_is_one_clear_line_and_exit_1(tmp_path, capsys, monkeypatch, make, words, command):
    monkeypatch.chdir(tmp_path)
    path = tmp_path / "odd.wav"
    make(path)

    assert run(command[0], path, *command[1:]) == 1

    error = capsys.readouterr().err
    assert words in error
    assert "odd.wav" in error
    assert error.count("\n") == 1
    assert not (tmp_path / "out.wav").exists()


def test_a_tenth_of_a_second_is_enough(tmp_path, capsys):
    path = write(tmp_path / "short.wav", noise_hits([500], 4410))

    assert run("onsets", path) == 0

    assert len(json.loads(capsys.readouterr().out)["onsets"]) == 1


@pytest.mark.parametrize(
    "words",
    [
        ["tighten", "a.wav"],
        ["tighten", "a.wav", "-o", "b.wav", "--bpm", "0"],
        ["tighten", "a.wav", "-o", "b.wav", "--bpm", "90", "--grid", "1/7"],
        ["onsets", "a.wav", "--threshold", "200"],
        ["shot", "demo", "-o", "x.png", "--stage", "nothing"],
        ["tighten", "a.wav", "-o", "b.wav", "--bpm", "90", "--grid", ""],
        ["tighten", "a.wav", "-o", "b.wav", "--bpm", "90", "--beat-one", "nan"],
        ["tighten", "a.wav", "-o", "b.wav", "--bpm", "inf"],
        *(
            ["shot", "demo", "-o", "x.png", "--size", size]
            for size in ("99999x99999", "0x0", "800x8001", "axb")
        ),
    ],
)
def test_wrong_usage_is_exit_2(words, capsys):
    with pytest.raises(SystemExit) as raised:
        cli.parsed(words)

    assert raised.value.code == 2


def test_no_qt_is_imported_where_no_window_is_wanted(take):
    code = "import sys; from chronotome.__main__ import main; main(sys.argv[1:])"
    code += "; print('PySide6' in sys.modules)"
    source = str(Path(cli.__file__).parents[2])

    done = subprocess.run(
        [sys.executable, "-c", code, "tempo", str(take)],
        capture_output=True,
        text=True,
        check=True,
        env={"PYTHONPATH": source},
    )

    assert done.stdout.splitlines()[-1] == "False"


def test_a_picture_of_the_demo(tmp_path, qapp):
    out = tmp_path / "mark.png"

    assert run("shot", "demo", "-o", out, "--stage", "mark", "--size", "1100x720") == 0

    from PySide6.QtGui import QImage

    image = QImage(str(out))
    assert (image.width(), image.height()) == (1100, 720)
    assert run("shot", tmp_path / "nothing", "-o", out) == 1


@pytest.fixture
def drifting_pair(tmp_path):
    """A guide that speeds up, and a second microphone 90 frames away."""
    moments = np.cumsum(np.concatenate([[0.4], np.linspace(0.66, 0.58, 47)]))
    frames = [round(moment * RATE) for moment in moments]
    near = noise_hits(frames, frames[-1] + RATE, loudness=[0.9, 0.5, 0.5, 0.5] * 12)
    far = 0.6 * np.concatenate([np.zeros((90, 1), np.float32), near])[: len(near)]
    return write(tmp_path / "near.wav", near), write(tmp_path / "far.wav", far)


def test_a_drifting_pair_is_straightened_in_step(drifting_pair, tmp_path, capsys):
    near, far = drifting_pair
    out = tmp_path / "steady"

    assert run("straighten", far, "--guide", near, "--bpm", 96, "--beats", "hits", "-o", out) == 0

    written = capsys.readouterr().out.split()
    first = soundfile.read(out / "near.wav", dtype="float32", always_2d=True)[0]
    second = soundfile.read(out / "far.wav", dtype="float32", always_2d=True)[0]
    found = detect_onsets(audio_of(first, RATE))
    hits = found.frames[found.strengths > 45]
    assert [Path(path).name for path in written] == ["near.wav", "far.wav"]
    assert len(hits) == 48
    assert hits[0] <= 0.02 * RATE  # it begins at bar one, and ends with the music
    assert max(np.abs(first[-1]).max(), np.abs(second[-1]).max()) > 4e-5
    assert np.abs(hits - hits[0] - np.arange(48) * 60 / 96 * RATE).max() < 0.002 * RATE
    assert np.abs(second[200:-200] - 0.6 * first[110:-290]).max() < 5e-3


def test_a_recording_follows_a_song_that_slows_down_by_a_fifth(drifting_pair, tmp_path, capsys):
    near, _ = drifting_pair
    song = ramp_tempo(set_tempo(Session(), 100.0), 8.0, 40.0, 80.0)
    write_tempo_midi(tmp_path / "song.mid", set_metre_from(song, 2, Metre(3, 4)))
    assert run("tempo-map", tmp_path / "song.mid", "-o", tmp_path / "song.json") == 0
    told = json.loads((tmp_path / "song.json").read_text())
    assert (len(told["changes"]), told["metre_changes"][0]["bar"]) == (34, 3)
    out = tmp_path / "followed"
    assert run("straighten", near, "--tempo-map", tmp_path / "song.json", "--beats", "hits", "-o", out) == 0
    first = soundfile.read(out / "near.wav", dtype="float32", always_2d=True)[0]
    found = detect_onsets(audio_of(first, RATE))
    hits = found.frames[found.strengths > 45]
    beats = (hits - hits[0]) / RATE
    assert np.abs(beats - (song.tempo.seconds_at(np.arange(48.0)))).max() < 0.002
    assert run("tempo-map", near, "-o", tmp_path / "a.mid") == 1
    assert run("tempo-map", tmp_path / "song.mid", "-o", tmp_path / "song.mid") == 1
    capsys.readouterr()


def test_bars_that_are_said_give_the_tempo(take, capsys):
    seconds = soundfile.info(take).duration

    assert run("tempo", take, "--bars", 4, "--json") == 0
    document = json.loads(capsys.readouterr().out)
    assert run("tempo", take, "--bars", 4000) == 1

    assert document["bpm"] == pytest.approx(60 * 16 / seconds, abs=0.01)
    assert np.diff(document["downbeats"]) == pytest.approx(seconds / 4, abs=1e-4)
    assert "Give another number" in capsys.readouterr().err


@pytest.mark.parametrize(
    ("where", "words"), [("/proc/nowhere", "nowhere"), ("", "never overwritten"), ("/dev/null", "null")]
)
def test_straightening_never_writes_over_a_recording_and_says_where_it_cannot(
    drifting_pair, capsys, where, words
):
    near, far = drifting_pair
    before = near.read_bytes()

    assert run("straighten", near, far, "-o", where or near.parent) == 1

    assert words in capsys.readouterr().err
    assert near.read_bytes() == before


def test_tempo_in_words_tells_what_was_heard_and_what_else_it_may_be(take, capsys):
    assert run("tempo", take) == 0

    lines = capsys.readouterr().out.splitlines()
    assert float(lines[0].split()[0]) == pytest.approx(100, abs=0.3)
    assert "bpm, constant, confidence" in lines[0]
    assert lines[1].startswith("metre 4/4")
    assert any(line.startswith("beat one at 0.") for line in lines)
    options = [float(line.split()[0]) for line in lines if line.startswith("  ")]
    assert options[0] == pytest.approx(100, abs=0.3)
    assert any(abs(option / 100 - half) < 0.01 for option in options for half in (0.5, 2.0))


def test_a_loop_is_told_in_beats_and_said_bars_in_words(tmp_path, capsys):
    step = round(60 / 96 / 2 * RATE)
    frames = [place * step for place in range(32)]
    loop = write(tmp_path / "loop.wav", noise_hits(frames, 32 * step, loudness=[0.9, 0.3, 0.6, 0.3] * 8))

    assert run("tempo", loop) == 0
    heard = capsys.readouterr().out
    assert run("tempo", loop, "--bars", 8) == 0
    said = capsys.readouterr().out

    assert "the file is 16 beats at 96.00 bpm" in heard
    assert said == "192.00 bpm: 8 bars of 4/4\n"


def test_fewer_than_three_hits_have_no_tempo(tmp_path, capsys):
    lonely = write(tmp_path / "lonely.wav", noise_hits([9000], 60000))

    assert run("tempo", lonely) == 0

    assert capsys.readouterr().out == "no tempo found: fewer than three hits\n"


def test_swing_is_told_where_it_can_be_felt(tmp_path, capsys):
    beat = 60 / 100 * RATE
    frames = sorted(round(9000 + (place + late) * beat) for place in range(32) for late in (0.0, 0.62))
    swung = write(tmp_path / "swung.wav", noise_hits(frames, frames[-1] + 20000, loudness=[0.9, 0.5] * 32))

    assert run("tempo", swung) == 0

    (line,) = [each for each in capsys.readouterr().out.splitlines() if each.startswith("swing")]
    assert float(line.split()[1]) == pytest.approx(62, abs=1.5)
    assert line.endswith("% of 1/8")


def test_an_output_that_is_full_is_one_line(take):
    with Path("/dev/full").open("w") as full:
        words = [sys.executable, "-m", "chronotome", "onsets", str(take), "--csv"]
        done = subprocess.run(words, stdout=full, stderr=subprocess.PIPE, text=True, check=False)

    assert done.returncode == 1
    assert done.stderr == "chronotome: the output could not be written: No space left on device.\n"


@pytest.fixture
def shaken(tmp_path):
    """Eight bars of eighths at 120 bpm, every second one 18 ms late and softer."""
    step = RATE // 4
    frames = [step * (4 + at) + round(0.018 * RATE) * (at % 2) for at in range(64)]
    return write(tmp_path / "shaken.wav", noise_hits(frames, frames[-1] + RATE, loudness=[0.9, 0.4] * 32))


def moves_of(path):
    return json.loads(path.read_text())["moves"]


def test_a_groove_is_written_and_another_take_is_tightened_to_it(shaken, take, tmp_path):
    feel, out, moves = tmp_path / "feel.json", tmp_path / "out.wav", tmp_path / "moves.json"
    assert run("groove", shaken, "-o", feel, "--grid", "1/8", "--bpm", 120, "--beat-one", 1.0) == 0

    document = json.loads(feel.read_text())
    assert (document["version"], document["grid"], document["bars"], document["metre"]) == (
        1,
        "1/8",
        1,
        "4/4",
    )
    assert [step["beat"] for step in document["steps"]] == [at / 2 for at in range(8)]
    late = [step["offset_ms"] for step in document["steps"]]
    assert late == pytest.approx([0, 18] * 4, abs=0.5)
    assert document["steps"][1]["level_db"] == pytest.approx(20 * np.log10(0.4 / 0.9), abs=0.6)

    fit = ("--bpm", 100, "--beat-one", 0.25, "--grid", "1/8", "--moves", moves)
    for groove, amount, wanted in ((feel, 100, 18.0), (feel, 50, 9.0), (shaken, 100, 18.0)):
        assert run("tighten", take, "-o", out, *fit, "--groove", groove, "--groove-amount", amount) == 0
        eighth = 0.3 * 44100
        off = [(move["target_frame"] / eighth - 0.25 / 0.3) % 2 for move in moves_of(moves)]
        behind = [1000 * 0.3 * (each - 1) for each in off if 0.5 < each < 1.5]
        assert np.median(behind) == pytest.approx(wanted, abs=1.0)


def test_bars_catch_and_materials_say_what_moves_and_how(take, tmp_path):
    out, moves = tmp_path / "out.wav", tmp_path / "moves.json"
    fit = ("tighten", take, "-o", out, "--bpm", 100, "--beat-one", 0.25, "--moves", moves)
    assert run(*fit, "--bars", "2-3") == 0

    moved = [move["source_frame"] for move in moves_of(moves) if move["target_frame"] != move["source_frame"]]
    bar = 2.4 * 44100
    assert 0.25 * 44100 + bar - 2000 < min(moved) < max(moved) < 0.25 * 44100 + 3 * bar
    assert run(*fit, "--catch", 0) == 0
    assert all(move["target_frame"] == move["source_frame"] for move in moves_of(moves))
    made = {}
    for material in ("drums", "one-note", "chords", "tape"):
        assert run(*fit, "--material", material) == 0
        made[material] = soundfile.read(out)[0]
    assert not np.array_equal(made["drums"], made["chords"])
    assert not np.array_equal(made["chords"], made["tape"])


def test_one_take_is_matched_to_another(shaken, tmp_path):
    step = RATE // 4
    frames = [step * (4 + at) + round(0.018 * RATE) * (at % 2) + (700, -500, 300)[at % 3] for at in range(64)]
    del frames[20]
    sloppy = write(tmp_path / "sloppy.wav", noise_hits(frames, frames[-1] + RATE, seed=5))
    out, moves = tmp_path / "matched.wav", tmp_path / "moves.json"

    assert run("match", sloppy, shaken, "-o", out, "--moves", moves) == 0

    document = json.loads(moves.read_text())
    assert len(document["moves"]) == 63
    assert all(move["target_frame"] == move["partner_frame"] for move in document["moves"])
    assert len(document["alone"]) == 1
    found = detect_onsets(audio_of(soundfile.read(out, dtype="float32", always_2d=True)[0], RATE))
    first = detect_onsets(audio_of(soundfile.read(shaken, dtype="float32", always_2d=True)[0], RATE))
    away = np.abs(found.frames[found.strengths > 45][:, None] - first.frames[first.strengths > 45][None]).min(
        1
    )
    assert np.median(away) <= 2


def test_a_terminal_that_knows_no_signs_but_ascii_gets_question_marks(tmp_path):
    path = tmp_path / "b\u00fccket \x9b31m\u202e.wav"
    path.write_bytes(b"no sound")
    ran = subprocess.run(
        [sys.executable, "-m", "chronotome", "onsets", str(path)],
        capture_output=True,
        check=False,
        env={**os.environ, "PYTHONIOENCODING": "ascii", "PYTHONUTF8": "0"},
    )
    assert ran.returncode == 1
    assert b"Traceback" not in ran.stderr
    assert b"b?cket ?31m?.wav" in ran.stderr


@pytest.mark.parametrize("command", ["onsets", "tempo", "tighten"])
def test_what_is_too_soft_to_be_sound_is_silent_for_every_command(tmp_path, capsys, command):
    path = write(tmp_path / "soft.wav", noise_hits([3000, 9000], 20000, rate=RATE) * 1e-30, rate=RATE)
    words = ["--bpm", "92", "-o", str(tmp_path / "out.wav")] if command == "tighten" else []
    assert main([command, str(path), *words]) == 1
    assert "is silent" in capsys.readouterr().err


def test_what_is_not_said_is_measured_and_told(tmp_path, capsys):
    train = steady_hits(104.0, 24)
    path = write(tmp_path / "take.wav", train.audio.samples, rate=RATE)
    swung = tmp_path / "swung.wav"
    moments = np.repeat(np.arange(24), 2) * 60 / 104 + np.tile([0.0, 0.62 * 60 / 104], 24) + 0.2
    write(swung, noise_hits((moments * RATE).astype(int).tolist(), 16 * RATE, rate=RATE), rate=RATE)

    assert run("tighten", path, "-o", tmp_path / "a.wav") == 0
    assert "104.00 bpm, measured" in capsys.readouterr().err
    assert (
        run("tighten", swung, "-o", tmp_path / "b.wav", "--swing", "as-played", "--moves", tmp_path / "m")
        == 0
    )
    told = capsys.readouterr().err
    assert re.search(r"swing 6[123] % of 1/8, as played", told)
    moves = json.loads((tmp_path / "m").read_text())["moves"]
    assert np.median([abs(each["target_frame"] - each["source_frame"]) for each in moves]) < 0.006 * RATE


def test_an_export_ends_with_what_is_heard_not_with_what_was_played(tmp_path, qapp):
    """A loop of two seconds that follows a song twice as fast."""
    from chronotome.files.export import heard_end

    session = simple_session([0, 24000, 48000, 72000], 96000)
    session = set_recording_tempo(session, session.tracks[0].id, 120.0)
    fast = set_tempo(set_following(session, session.tracks[0].id, TempoSync.RECORDING), 240.0)
    assert heard_end(fast, Side.EDITED) == 48000
    assert heard_end(fast, Side.AS_PLAYED) == 96000
    muted = replace(fast, tracks=(replace(fast.tracks[0], is_muted=True),))
    assert heard_end(muted, Side.EDITED) == extent_of(muted)
