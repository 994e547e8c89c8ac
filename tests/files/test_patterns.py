"""Patterns with their kits on disk: nothing lost on the way there and back, nothing taken that is damaged."""

import base64
import json
import zlib
from pathlib import Path

import msgspec
import numpy as np
import pytest
import soundfile

from chronotome.errors import CannotWrite, UnusableFile
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.history_lines import LedgerReader, LedgerWriter
from chronotome.files.notes import read_notes
from chronotome.files.patterns import DOCUMENT, is_pattern, read_pattern, schema, write_pattern
from chronotome.files.shelf import scan
from chronotome.render.arena import Arena
from chronotome.render.plan import plan_for
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.edits.kits import set_slice
from chronotome.session.edits.patterns import bring_pattern, pattern_of_clip, play_pattern, shape_steps
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.history import History
from chronotome.session.model import Session, replace
from chronotome.session.normalise_patterns import settled
from chronotome.session.validity import check
from sounds import noise_hits
from strategies import RATE, simple_session, with_audio

FRAMES = [900, 6700, 11500, 18200, 24000, 30300]
TOTAL = 36000
ROOT = Path(__file__).parents[2]


@pytest.fixture
def written(tmp_path):
    """A pattern with a bit of everything, and where its recording lies."""
    session, places = with_audio(simple_session(FRAMES, TOTAL), tmp_path)
    track = session.tracks[0]
    session = settled(pattern_of_clip(session, (track.id, track.clips[0].id)))
    pattern, kit = session.patterns[0], session.kits[0]
    for name, number, value in (
        ("chances", 1, 0.5),
        ("repeats", 2, 3),
        ("slopes", 2, -9.0),
        ("lengths", 3, 0.75),
        ("everys", 4, 2),
    ):
        session = shape_steps(session, pattern.id, [pattern.ids[number]], name, value)
    session = set_slice(session, kit.id, {2}, is_reversed=True, choke=3)
    return settled(session), places


def heard(session, places):
    arena = Arena()
    sources = {content: load_source(facts_of(path), arena, RATE) for content, path in places.items()}
    mix = OfflineMix(render_mix(Renderer(arena), plan_for(session), sources), arena)
    return mix.read(0, mix.frames)


def opened(folder, like):
    saved = read_pattern(folder, 120.0)
    session = bring_pattern(
        replace(set_tempo(Session(), 120.0), rate=RATE), saved.pattern, saved.kit, saved.recordings
    )
    return settled(play_pattern(session, None, session.patterns[0].id, 0.0, like)), saved


def test_a_pattern_that_was_saved_and_opened_is_the_same_to_the_bit(written, tmp_path):
    session, places = written
    alone = replace(session, tracks=session.tracks[1:])
    folder = tmp_path / "saved"
    write_pattern(folder, session, session.patterns[0].id, places)
    again, saved = opened(folder, session.patterns[0].beats)
    np.testing.assert_array_equal(heard(again, saved.places), heard(alone, places))
    assert replace(again.patterns[0], id=0, kit=0) == replace(session.patterns[0], id=0, kit=0)
    with pytest.raises(CannotWrite, match="other files"):
        write_pattern(folder, session, session.patterns[0].id, places)


def test_samples_that_whole_numbers_cannot_hold_are_kept_as_they_are(tmp_path):
    samples = noise_hits(FRAMES, TOTAL, rate=RATE, channels=1) * np.float32(np.pi / 3)
    soundfile.write(tmp_path / "float.wav", samples, RATE, subtype="FLOAT")
    session = simple_session(FRAMES, TOTAL)
    track, content = session.tracks[0], session.recordings[0].content
    session = settled(pattern_of_clip(session, (track.id, track.clips[0].id)))
    places = {content: tmp_path / "float.wav"}
    write_pattern(tmp_path / "saved", session, session.patterns[0].id, places)
    again, saved = opened(tmp_path / "saved", session.patterns[0].beats)
    alone = replace(session, tracks=session.tracks[1:])
    np.testing.assert_array_equal(heard(again, saved.places), heard(alone, places))


@pytest.mark.parametrize(
    ("at", "value"),
    [
        (("slices", 0, "file"), "../song.wav"),
        (("slices", 0, "end_frame"), 10_000_000),
        (("slices", 1, "slice", "key"), 0),
        (("slices", 1, "slice", "semitones"), 1e9),
        (("pattern", "places", 0), 99.0),
        (("pattern", "chances"), [2.0]),
        (("version",), 2),
    ],
)
def test_a_document_that_cannot_be_is_refused_by_name(written, tmp_path, at, value):
    session, places = written
    folder = tmp_path / "saved"
    write_pattern(folder, session, session.patterns[0].id, places)
    document = json.loads((folder / DOCUMENT).read_text())
    place = document
    for part in at[:-1]:
        place = place[part]
    place[at[-1]] = value
    (folder / DOCUMENT).write_text(json.dumps(document))
    with pytest.raises(UnusableFile):
        read_pattern(folder, 120.0)


def test_a_slice_that_is_gone_is_told(written, tmp_path):
    session, places = written
    folder = tmp_path / "saved"
    write_pattern(folder, session, session.patterns[0].id, places)
    gone = sorted(folder.glob("*.flac"))[1]
    gone.unlink()
    with pytest.raises(UnusableFile, match=gone.name):
        read_pattern(folder, 120.0)
    assert is_pattern(folder)
    assert not is_pattern(tmp_path)
    with pytest.raises(UnusableFile, match="no pattern"):
        read_pattern(tmp_path / "nowhere", 120.0)


def test_a_history_with_kits_and_patterns_comes_back_and_shares_their_columns(written):
    session, _ = written
    history = History(session)
    for number in range(20):
        step = session.patterns[0].ids[number % 6]
        session = settled(shape_steps(session, session.patterns[0].id, [step], "loudness", -number - 1.0))
        history = history.then(session, f"Shape {number}")
    lines = LedgerWriter().whole(history)
    reader = LedgerReader()
    reader.read(lines)
    assert reader.history.session == history.session
    assert [step.session for step in reader.history.past] == [step.session for step in history.past]
    assert sum(b'"name":"steps.places"' in line for line in lines) == 1
    packed = [json.loads(line).get("packed") for line in lines]
    bare = [
        zlib.decompress(base64.b64decode(each)) if each else line
        for each, line in zip(packed, lines, strict=True)
    ]
    assert sum(b'"kit":' in line[:8] for line in bare) == 1


@pytest.mark.parametrize(
    "change",
    [
        lambda s: replace(s, kits=()),
        lambda s: replace(s, patterns=()),
        lambda s: replace(s, recordings=()),
        lambda s: replace(s, kits=(replace(s.kits[0], slices=(replace(s.kits[0].slices[0], end=1 << 30),)),)),
    ],
)
def test_a_session_that_names_what_is_not_there_is_refused(written, change):
    session, _ = written
    check(session)
    with pytest.raises(ValueError, match="session|kit"):
        check(change(session))


def test_notes_of_a_midi_file_play_keys(tmp_path):
    import mido

    file = mido.MidiFile(ticks_per_beat=480)
    file.tracks.append(
        mido.MidiTrack(
            [
                mido.Message("note_on", note=36, velocity=127, time=0),
                mido.Message("note_off", note=36, time=240),
                mido.Message("note_on", note=12, velocity=64, time=0),
                mido.Message("note_on", note=40, velocity=64, time=240),
            ]
        )
    )
    file.save(tmp_path / "keys.mid")
    notes = read_notes(tmp_path / "keys.mid")
    assert [(note.beat, note.key, note.is_start) for note in notes] == [
        (0.0, 0, True),
        (0.5, 0, False),
        (1.0, 4, True),
    ]
    assert notes[2].velocity == pytest.approx(64 / 127)
    (tmp_path / "none.mid").write_bytes(b"MThd nonsense")
    with pytest.raises(UnusableFile, match=r"none\.mid"):
        read_notes(tmp_path / "none.mid")


def test_the_schema_in_docs_is_the_one_of_the_code():
    kept = json.loads((ROOT / "docs" / "pattern.schema.json").read_text())
    assert kept == json.loads(msgspec.json.encode(schema()))


def test_the_shelf_has_a_saved_pattern_as_one_row_with_its_tempo_and_none_of_its_slices(written, tmp_path):
    session, places = written
    (tmp_path / "shelf" / "more").mkdir(parents=True)
    folder = tmp_path / "shelf" / "more" / "evening 1.5"
    write_pattern(folder, session, session.patterns[0].id, places)
    (folder / "more").mkdir()
    soundfile.write(folder / "more" / "another.wav", np.zeros(100), RATE)
    (tmp_path / "shelf" / "spoilt").mkdir()
    (tmp_path / "shelf" / "spoilt" / DOCUMENT).write_text("{}")

    rows = {each.name: each for each in scan(tmp_path / "shelf", {}, lambda _: None)}

    assert set(rows) == {"more/evening 1.5", "spoilt"}
    row = rows["more/evening 1.5"]
    pattern, tempo = session.patterns[0], session.tempo.at(0.0)
    assert (row.is_pattern, row.steps, row.tempo) == (True, len(pattern), tempo)
    assert row.seconds == pytest.approx(pattern.beats * 60 / tempo, abs=1e-3)
    assert rows["spoilt"].frames == 0
