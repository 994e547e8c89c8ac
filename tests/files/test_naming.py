"""Slices as files, by names that a person makes up; the tempo map as JSON."""

import json
from pathlib import Path

import msgspec
import numpy as np
import pytest
import soundfile

from chronotome.__main__ import main
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.kit_out import write_slice_files
from chronotome.files.naming import WrongTemplate, names_by, numbered
from chronotome.files.tempo_out import schema, write_tempo_json
from chronotome.render.arena import Arena
from chronotome.session.edits.kits import make_kit, set_slice
from chronotome.session.edits.sections import add_section
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.model import Session, replace
from strategies import simple_session, with_audio

ROWS = [{"name": "Bucket", "number": "01", "band": "low"}, {"name": "Bucket", "number": "02", "band": "low"}]


def test_names_are_made_by_the_template_each_once_and_lead_nowhere_else():
    assert names_by("{name} {number}", ROWS, ".wav") == ["Bucket 01.wav", "Bucket 02.wav"]
    assert names_by("{band}", ROWS, ".wav") == ["low.wav", "low 2.wav"]
    assert names_by("../{name}/{number}", ROWS, ".wav")[0] == "_Bucket_01.wav"
    assert names_by("{key}", [{}], ".wav") == ["slice.wav"]
    assert names_by("{name}", [{"name": "low"}, {"name": "LOW"}], "") == ["low", "LOW 2"]
    assert [numbered(number, 100) for number in (1, 100)] == ["001", "100"]


@pytest.mark.parametrize(
    ("template", "words"),
    [
        ("{nmae}", "{nmae} is unknown"),
        ("{name.__class__}", "is unknown"),
        ("  ", "empty"),
        ("x" * 121, "longer"),
    ],
)
def test_what_is_wrong_with_a_template_is_told(template, words):
    with pytest.raises(WrongTemplate, match=words):
        names_by(template, ROWS, ".wav")


def test_each_slice_is_a_file_as_its_key_plays_it(tmp_path):
    session, places = with_audio(simple_session([900, 6700, 11500], 16000), tmp_path)
    track, (recording,) = session.tracks[0], session.recordings
    session = replace(session, recordings=(replace(recording, quiet=900),))
    session = make_kit(session, (track.id, track.clips[0].id))
    session = set_slice(session, session.kits[0].id, {1}, is_reversed=True)
    arena = Arena()
    sources = {content: load_source(facts_of(path), arena, session.rate) for content, path in places.items()}
    kit, out = session.kits[0], tmp_path / "out"
    args = (session, kit, sources, arena, ENCODINGS["flac24"], "{number}-{key}-{ms}")

    assert write_slice_files(out, *args) == len(kit.slices) == 4
    names = sorted(each.name for each in out.iterdir())
    assert [name.split("-")[:2] for name in names] == [["01", "Q"], ["02", "W"], ["03", "E"], ["04", "R"]]
    whole = soundfile.read(next(iter(places.values())), dtype="float32", always_2d=True)[0]
    first, second = (soundfile.read(out / name, dtype="float32")[0] for name in names[:2])
    piece = kit.slices[1]
    assert np.abs(second[20:-200, 0] - whole[piece.start : piece.end, 0][20:-200]).max() < 1e-6
    assert np.abs(first[200:-200, 0] - whole[900:6700, 0][::-1][200:-200]).max() < 1e-3


def test_split_names_its_files_and_refuses_what_names_none(tmp_path, capsys):
    _, places = with_audio(simple_session([900, 6700, 11500], 16000), tmp_path)
    take = next(iter(places.values()))
    words = ["split", str(take), "-o", str(tmp_path / "s"), "--at", "2", "--names", "{number} of {name}"]
    assert main(words) == 0
    told = json.loads((tmp_path / "s/slices.json").read_text())
    assert [each["file"] for each in told["slices"]] == ["01 of take.wav", "02 of take.wav"]
    with pytest.raises(SystemExit):
        main([*words[:-1], "{moon}"])
    assert "{moon} is unknown" in capsys.readouterr().err


def test_the_tempo_map_as_json_is_in_beats_and_seconds(tmp_path):
    session = set_beat_one(set_tempo(Session(), 120.0), 0.25)
    session = add_section(session, "verse", 4.0, 8.0)
    write_tempo_json(tmp_path / "tempo.json", session)
    told = json.loads((tmp_path / "tempo.json").read_text())

    assert (told["beat_one_seconds"], told["metre"]) == (0.25, {"beats": 4, "unit": 4})
    assert told["changes"] == [{"beat": 0.0, "seconds": 0.25, "bpm": 120.0}]
    assert told["sections"] == [
        {"name": "verse", "start_beat": 4.0, "end_beat": 8.0, "start_seconds": 2.25, "end_seconds": 4.25}
    ]
    kept = Path(__file__).parents[2] / "docs/tempo.schema.json"
    assert json.loads(kept.read_text()) == json.loads(msgspec.json.encode(schema()))
