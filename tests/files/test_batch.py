"""The same for many files: each by itself, what fails is told, and the rest goes on."""

import json
import re
import shlex
import shutil
import subprocess
import sys

import numpy as np
import pytest
import soundfile

from chronotome.__main__ import main
from chronotome.errors import Cancelled, UnusableFile
from chronotome.files.batch import (
    BatchPreset,
    Doing,
    read_recipe,
    report,
    run_batch,
    run_one,
    sounds_in,
    write_recipe,
)
from chronotome.session.edits.slicing import At
from chronotome.session.grid import Grid
from chronotome.session.groove import Groove, GrooveStep
from chronotome.session.settings import TightenSettings
from sounds import steady_hits, write

RECIPE = BatchPreset(Doing.TIGHTEN, bpm=100.0, tighten=TightenSettings(grid=Grid(8), strength=1.0))


@pytest.fixture
def takes(tmp_path):
    folder = tmp_path / "takes"
    folder.mkdir()
    for number in range(3):
        hits = steady_hits(100.0, 12, spread=0.012, seed=number)
        write(folder / f"take {number}.wav", hits.audio.samples)
    (folder / "notes.txt").write_text("no sound")
    return folder


def test_a_recipe_comes_back_and_a_damaged_one_is_told(tmp_path):
    groove = Groove(7, "lilt", Grid(8), steps=(GrooveStep(0.0, 5.0), GrooveStep(0.5, -3.0)))
    recipe = BatchPreset(Doing.SPLIT, groove=groove, cut_at=At.LINES, names="{name}_{number}")
    write_recipe(tmp_path / "a.recipe.json", recipe)
    assert read_recipe(tmp_path / "a.recipe.json") == recipe

    for change, words in (
        ({"version": 2}, "damaged"),
        ({"names": "{moon}"}, "{moon} is unknown"),
        ({"encoding": "tape"}, "unknown file format"),
        ({"bpm": 1e9}, "damaged"),
    ):
        told = json.loads((tmp_path / "a.recipe.json").read_text()) | change
        (tmp_path / "b.recipe.json").write_text(json.dumps(told))
        with pytest.raises(UnusableFile, match=words):
            read_recipe(tmp_path / "b.recipe.json")


def test_what_fails_is_told_and_the_rest_goes_on(takes, tmp_path):
    (takes / "take 1.wav").write_bytes(b"no sound at all")
    shares = []
    paths = sounds_in([takes, takes / "take 0.wav"])
    outcomes = list(run_batch(RECIPE, paths, tmp_path / "out", lambda *told: shares.append(told)))

    assert [path.name for path in paths] == ["take 0.wav", "take 1.wav", "take 2.wav"]
    assert [each.is_done for each in outcomes] == [True, False, True]
    assert sorted(each.name for each in (tmp_path / "out").iterdir()) == ["take 0.wav", "take 2.wav"]
    assert re.fullmatch(r"24 hits at 100.00 bpm, moved by [3-9]\.. ms", outcomes[0].words)
    assert "take 1.wav" in outcomes[1].words
    assert [line.split("\t")[0] for line in report(outcomes).splitlines()] == ["done", "failed", "done"]
    assert {number for number, _ in shares} >= {0, 2}
    again = run_one(RECIPE, paths[0], tmp_path / "out")
    assert "already exists" in again.words


def test_no_recording_is_written_over_even_into_its_own_folder(takes):
    before = (takes / "take 0.wav").read_bytes()
    assert not run_one(RECIPE, takes / "take 0.wav", takes).is_done
    assert (takes / "take 0.wav").read_bytes() == before


def test_each_has_its_own_tempo_where_none_is_said(tmp_path):
    for tempo in (90.0, 120.0):
        write(tmp_path / f"{tempo:.0f}.wav", steady_hits(tempo, 24, spread=0.004).audio.samples)
    recipe = BatchPreset(
        Doing.TIGHTEN, tighten=TightenSettings(grid=Grid(8), strength=1.0), encoding="flac24"
    )
    (tmp_path / "o").mkdir()
    told = [run_one(recipe, tmp_path / f"{tempo}.wav", tmp_path / "o") for tempo in (90, 120)]
    bpm = [float(re.search(r"at ([\d.]+) bpm", each.words)[1]) for each in told]
    assert bpm == pytest.approx([90, 120], abs=0.3)
    assert [each.out.suffix for each in told] == [".flac", ".flac"]


def test_split_and_straighten_are_batches_too(takes, tmp_path):
    (tmp_path / "s").mkdir()
    (tmp_path / "g").mkdir()
    split = run_one(BatchPreset(Doing.SPLIT, cut_at=At.PARTS, parts=4), takes / "take 0.wav", tmp_path / "s")
    names = sorted(each.name for each in split.out.iterdir())
    assert names == ["slices.json", *(f"take 0-0{number}.wav" for number in range(1, 5))]
    steady = run_one(BatchPreset(Doing.STRAIGHTEN, bpm=104.0), takes / "take 0.wav", tmp_path / "g")
    assert steady.words == "104.00 bpm"
    loud = [
        np.flatnonzero(np.abs(soundfile.read(path)[0]) > 0.2) for path in (steady.out, takes / "take 0.wav")
    ]
    ends = [each[-1] - each[0] for each in loud]
    assert ends[0] / ends[1] == pytest.approx(100 / 104, rel=0.01)


def test_cancelled_in_the_middle_of_a_file_nothing_of_it_is_left(takes, tmp_path):
    def stop(share):
        if share > 0.7:
            raise Cancelled

    with pytest.raises(Cancelled):
        list(run_batch(RECIPE, [takes / "take 0.wav", takes / "take 2.wav"], tmp_path / "out", progress=stop))
    assert [each.name for each in (tmp_path / "out").iterdir()] == ["take 0.wav"]


def test_commands_do_one_file_each_and_the_same_to_the_bit(takes, tmp_path, capsys):
    write_recipe(tmp_path / "a recipe.json", RECIPE)
    words = ["batch", str(tmp_path / "a recipe.json"), str(takes), "-o", str(tmp_path / "one by one")]
    assert main([*words, "--commands"]) == 0
    lines = capsys.readouterr().out.splitlines()
    assert len(lines) == 3
    for line in lines:
        first, *rest = shlex.split(line)
        assert first == "chronotome"
        subprocess.run([sys.executable, "-m", "chronotome", *rest], check=True, capture_output=True)
    assert main([*words[:-1], str(tmp_path / "at once")]) == 0
    for path in sorted((tmp_path / "at once").iterdir()):
        assert path.read_bytes() == (tmp_path / "one by one" / path.name).read_bytes()
        assert np.abs(soundfile.read(path)[0]).max() > 0.1


def test_names_that_a_shell_takes_for_more_are_left_out_or_made_safe(takes, tmp_path, capfd, monkeypatch):
    write_recipe(tmp_path / "r.json", RECIPE)
    shutil.copy(takes / "take 0.wav", takes / "take\ntouch broken\n.wav")
    monkeypatch.chdir(takes)
    shutil.copy("take 0.wav", "./-o.wav")

    assert main(["batch", "../r.json", "./-o.wav", str(takes), "-o", "out", "--commands"]) == 0

    told = capfd.readouterr()
    lines = told.out.splitlines()
    assert len(lines) == 5
    assert " ./-o.wav " in lines[0]
    assert all(line.startswith("chronotome batch ") for line in lines)
    assert "line break in its name" in told.err


def test_on_the_command_line_a_file_that_fails_is_an_exit_code(takes, tmp_path, capsys):
    write_recipe(tmp_path / "r.json", RECIPE)
    (takes / "take 1.wav").write_bytes(b"")
    assert main(["batch", str(tmp_path / "r.json"), str(takes), "-o", str(tmp_path / "out")]) == 1
    told = capsys.readouterr()
    assert told.out.count("done\t") == 2
    assert "1 of 3 files" in told.err
    (tmp_path / "empty").mkdir()
    assert main(["batch", str(tmp_path / "r.json"), str(tmp_path / "empty"), "-o", str(tmp_path / "o")]) == 1
    assert "holds no sound files" in capsys.readouterr().err


@pytest.mark.parametrize(
    ("suffix", "subtype", "rate"),
    [
        (".flac", "PCM_16", 44100),
        (".flac", "PCM_24", 96000),
        (".wav", "PCM_24", 22050),
        (".ogg", "VORBIS", 44100),
    ],
)
@pytest.mark.parametrize("do", [Doing.TIGHTEN, Doing.STRAIGHTEN])
def test_as_each_file_is_keeps_kind_depth_and_rate(tmp_path, suffix, subtype, rate, do):
    sound = steady_hits(120.0, 12, rate=rate).audio.samples
    soundfile.write(tmp_path / f"take{suffix}", sound, rate, subtype=subtype)
    (done,) = run_batch(BatchPreset(do, bpm=120.0), [tmp_path / f"take{suffix}"], tmp_path / "out")
    facts = soundfile.info(done.out)
    assert (done.out.suffix, facts.subtype, facts.samplerate) == (suffix, subtype, rate)
