"""Kits and patterns for other programs: SFZ by its published opcodes, MIDI of format 1."""

import re

import mido
import numpy as np
import pytest
import soundfile

from chronotome.errors import Cancelled, CannotWrite, UnusableFile
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.kit_out import write_sfz
from chronotome.files.midi_out import TICKS, write_pattern_midi, write_tempo_midi
from chronotome.files.writing import new_folder, write_whole
from chronotome.render.arena import Arena
from chronotome.render.kit_sounds import kit_sounds
from chronotome.render.mix import OUT_CHANNELS
from chronotome.session.edits.kits import make_kit, set_slice
from chronotome.session.edits.patterns import change_pattern, new_pattern, play_pattern, shape_steps
from chronotome.session.edits.sections import add_section
from chronotome.session.grid import TempoChange, TempoMap
from chronotome.session.kits import FIRST_NOTE
from chronotome.session.model import replace
from chronotome.session.normalise_patterns import settled
from strategies import simple_session, with_audio

FRAMES = [900, 6700, 11500, 18200, 24000, 30300]


@pytest.fixture
def kit(tmp_path):
    """Six slices on keys, one turned, two that choke one another, one as long as it is held."""
    session, places = with_audio(simple_session(FRAMES, 36000), tmp_path)
    track = session.tracks[0]
    session = make_kit(session, (track.id, track.clips[0].id))
    number = session.kits[0].id
    session = set_slice(session, number, {1}, is_reversed=True, loudness=-3.0)
    session = set_slice(session, number, {2, 3}, choke=2)
    session = set_slice(session, number, {4}, is_held=True, semitones=5.0)
    arena = Arena()
    sources = {content: load_source(facts_of(path), arena, session.rate) for content, path in places.items()}
    return session, sources, arena


def read_sfz(path):
    """By the published format: headers, opcode=value, `sample` up to the end of its line."""
    headers, current = [], None
    for line in path.read_text().splitlines():
        line = line.split("//")[0].strip()  # noqa: PLW2901 - a comment ends it
        for part in re.findall(r"<\w+>|sample=[^\n]*|\w+=\S+", line):
            if part.startswith("<"):
                current = {}
                headers.append((part.strip("<>"), current))
            else:
                name, value = part.split("=", 1)
                current[name] = value
    regions = [values for kind, values in headers if kind == "region"]
    return [{**each, "sample": path.parent / each["sample"]} for each in regions]


def test_an_sfz_player_finds_every_slice_on_its_key_as_the_key_plays_it(kit, tmp_path):
    session, sources, arena = kit
    own = session.kits[0]
    path = write_sfz(tmp_path / "out", session, own, sources, arena)
    regions = read_sfz(path)

    assert [int(each["key"]) for each in regions] == [piece.key + FIRST_NOTE for piece in own.slices]
    sounds = kit_sounds(session, own, sources, arena, lambda: True)
    for piece, region in zip(own.slices, regions, strict=True):
        sound = sounds[piece.key]
        floats = arena.floats[sound.offset : sound.offset + sound.frames * OUT_CHANNELS].reshape(-1, 2)
        read, rate = soundfile.read(region["sample"], dtype="float32")
        assert rate == session.rate
        np.testing.assert_allclose(read, floats * [sound.left, sound.right], atol=0.51 / 2**23)
        assert region["loop_mode"] == ("no_loop" if piece.is_held else "one_shot")
        assert region.get("off_by") == region.get("group") == (str(piece.choke) if piece.choke else None)
    assert len({each["sample"] for each in regions}) == len(own.slices)


def test_an_instrument_is_not_written_into_a_folder_that_holds_something(kit, tmp_path):
    session, sources, arena = kit
    (tmp_path / "out").mkdir()
    (tmp_path / "out" / "mine.txt").write_text("mine")
    before = arena.resident_bytes
    with pytest.raises((CannotWrite, UnusableFile), match="out"):
        write_sfz(tmp_path / "out", session, session.kits[0], sources, arena)
    assert [each.name for each in (tmp_path / "out").iterdir()] == ["mine.txt"]
    assert arena.resident_bytes == before


@pytest.fixture
def played(kit):
    """A bar that plays twice: a step, a softer one, one of three repeats, one in every second round."""
    session = kit[0]
    pieces = [each.id for each in session.kits[0].slices]
    session = new_pattern(session, session.kits[0].id, 4.0)
    number = session.patterns[0].id
    columns = {"slices": pieces[:4], "places": [0.0, 1.0, 2.0, 3.5], "lengths": [0.5, 0.5, 1.5, 0.25]}
    session = change_pattern(session, number, lambda old: old.with_steps(columns))
    ids = session.patterns[0].ids
    for step, name, value in ((1, "loudness", -20.0), (2, "repeats", 3), (3, "everys", 2)):
        session = shape_steps(session, number, ids[step : step + 1], name, value)
    return settled(play_pattern(session, None, number, 8.0, 8.0))


def notes_of(path):
    """(beat, key, velocity, length) of a file's notes, and its other messages by type."""
    file = mido.MidiFile(path)
    assert (file.type, file.ticks_per_beat) == (1, TICKS)
    found, others, open_ones = [], {}, {}
    for track in file.tracks:
        now = 0
        for message in track:
            now += message.time
            if message.type == "note_on" and message.velocity:
                open_ones[message.note] = (now, message.velocity)
            elif message.type in {"note_on", "note_off"}:
                start, velocity = open_ones.pop(message.note)
                found.append((start / TICKS, message.note - FIRST_NOTE, velocity, (now - start) / TICKS))
            else:
                others.setdefault(message.type, []).append((now / TICKS, message))
    assert not open_ones
    return sorted(found), others


def test_a_pattern_as_midi_is_what_is_heard_in_its_clip(played, tmp_path):
    take = played.tracks[-1].clips[0].take
    count = write_pattern_midi(tmp_path / "a.mid", played, take)
    notes, others = notes_of(tmp_path / "a.mid")

    bar = [(0.0, 0, 127, 0.5), (1.0, 1, 64, 0.5), *((2.0 + 0.5 * at, 2, 127, 0.5) for at in range(3))]
    late = [(3.5, 3, 127, 0.25)]
    assert notes == sorted([*bar, *late, *((beat + 4, *rest) for beat, *rest in bar)])
    assert count == len(notes)
    (tempo,) = others["set_tempo"]
    assert tempo[1].tempo == 500_000
    assert max(beat for beat, _ in others["end_of_track"]) == 8.0


def test_a_clip_without_a_pattern_and_a_pattern_without_a_step_are_told(played, tmp_path):
    with pytest.raises(UnusableFile, match="needs a clip that plays a pattern"):
        write_pattern_midi(tmp_path / "a.mid", played, played.tracks[0].clips[0].take)
    empty = change_pattern(played, played.patterns[0].id, lambda old: old.only([]))
    with pytest.raises(UnusableFile, match="no note"):
        write_pattern_midi(tmp_path / "a.mid", empty, empty.tracks[-1].clips[0].take)
    assert not (tmp_path / "a.mid").exists()


def test_a_tempo_map_as_midi_has_its_changes_metre_and_sections(played, tmp_path):
    changes = (TempoChange(0.0, 120.0), TempoChange(6.0, 90.0))
    session = replace(played, tempo=TempoMap(changes, 0.5))
    session = add_section(add_section(session, "verse", 0.0, 8.0), "café", 8.0, 16.0)
    write_tempo_midi(tmp_path / "map.mid", session)
    _, others = notes_of(tmp_path / "map.mid")

    assert [(beat, round(60e6 / each.tempo, 3)) for beat, each in others["set_tempo"]] == [
        (0, 120.0),
        (6.0, 90.0),
    ]
    assert [(each.numerator, each.denominator) for _, each in others["time_signature"]] == [(4, 4)]
    assert [(beat, each.text) for beat, each in others["marker"]] == [(0.0, "verse"), (8.0, "café")]


@pytest.mark.parametrize("has_theirs", [False, True])
def test_what_fails_in_the_middle_leaves_no_folder_but_what_is_not_ours(tmp_path, has_theirs):
    folder = tmp_path / "a" / "stems"

    def write_two_and_fail():
        with new_folder(folder):
            write_whole(folder / "1.wav", b"x")
            (folder / "samples").mkdir()
            write_whole(folder / "samples" / "2.wav", b"x")
            if has_theirs:
                (folder / "theirs.txt").write_text("put here meanwhile")
            raise Cancelled

    with pytest.raises(Cancelled):
        write_two_and_fail()
    assert [each.name for each in tmp_path.rglob("*.*")] == (["theirs.txt"] if has_theirs else [])
    assert folder.exists() == has_theirs
    assert (tmp_path / "a").exists() == has_theirs
