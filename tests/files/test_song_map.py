"""A song from 90 over a ramp to 120 and down to 100 bpm, in 4/4, 3/4 and 7/8: every file says the same."""

import json
from itertools import pairwise

import mido
import numpy as np
import pytest
import soundfile

from chronotome.errors import UnusableFile
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
from chronotome.files.midi_out import TICKS, write_tempo_midi
from chronotome.files.tempo_in import read_tempo_map
from chronotome.files.tempo_out import write_tempo_json
from chronotome.render.click import click_plan
from chronotome.session.beating import beats_by, no_hits
from chronotome.session.edits.metre import set_metre_from
from chronotome.session.edits.patterns import new_pattern, play_pattern
from chronotome.session.edits.sections import add_section
from chronotome.session.edits.tempo import ramp_tempo, set_tempo, set_tempo_from, take_song_map
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.grid import TempoChange
from chronotome.session.kits import Kit, KitSlice
from chronotome.session.metre import Metre, metre_map
from chronotome.session.model import Recording, Session, replace
from chronotome.session.rounds import laid_of

RATE = 48000
ONE = 0.25
TEMPI = [90] * 8 + [90 + 30 * (at + 0.5) / 8 for at in range(8)] + [120] * 8 + [100] * 40
TRUTH = ONE + np.concatenate([[0.0], np.cumsum(60 / np.array(TEMPI, float))])
"""Seconds of each quarter note."""
BARS = [0, 4, 8, 12, 16, 19, 22, 25, 28, 31.5, 35, 38.5]


@pytest.fixture(scope="module")
def song():
    session = set_beat_one(set_tempo(Session(rate=RATE), 90.0), ONE)
    session = set_tempo_from(ramp_tempo(session, 8.0, 16.0, 120.0), 24.0, 100.0)
    session = set_metre_from(set_metre_from(session, 4, Metre(3, 4)), 8, Metre(7, 8))
    return add_section(add_section(session, "verse", 4.0, 16.0), "bridge", 16.0, 31.5)


def exact(beats):
    return np.interp(beats, np.arange(len(TRUTH)), TRUTH)


def test_clicks_are_on_every_beat_of_each_metre_to_the_frame(song):
    plan = click_plan(song, round(exact(38.0) * RATE))
    beats = [*range(28), *np.arange(28, 38.5, 0.5)]
    every = np.sort(np.concatenate([plan.accents, plan.others]))
    at = int(np.searchsorted(every, round(ONE * RATE) - 1))
    wanted = np.rint(exact(beats) * RATE)
    assert np.abs(every[at : at + len(beats)] - wanted).max() == 0
    assert (
        plan.accents[plan.accents >= round(ONE * RATE)][: len(BARS)].tolist()
        == np.rint(exact(BARS) * RATE).astype(int).tolist()
    )


def test_steps_of_a_pattern_are_where_the_beats_are(song):
    kit = Kit(50, "kit", (KitSlice(1, "c" * 32, 0, 400, 0),), next_id=2)
    session = replace(
        song, kits=(kit,), recordings=(Recording("c" * 32, "a.wav", RATE, RATE, 1),), next_id=60
    )
    session = new_pattern(session, 50, 3.5)
    pattern = session.patterns[0].with_steps({"slices": [1] * 7, "places": np.arange(7) / 2})
    session = replace(session, patterns=(pattern,))
    session = play_pattern(session, None, pattern.id, 12.0, 14.0)
    laid = laid_of(pattern, 12.0, 14.0, session.tempo, RATE)
    beats = 12.0 + np.arange(28) / 2
    assert laid.beats.tolist() == beats.tolist()
    assert np.abs(laid.start + laid.frames - np.rint(exact(beats) * RATE)).max() == 0


def seconds_by(file):
    """When each tick is, by the file alone."""
    changes, now = [], 0
    for message in file.tracks[0]:
        now += message.time
        if message.type == "set_tempo":
            changes.append((now, message.tempo))

    def seconds(tick):
        passed = 0.0
        for at, (start, tempo) in enumerate(changes):
            end = changes[at + 1][0] if at + 1 < len(changes) else tick
            passed += max(0, min(end, tick) - start) * tempo / 1e6 / TICKS
        return passed

    return seconds


def test_midi_says_it_to_the_tick_and_reads_it_back_to_the_frame(song, tmp_path):
    write_tempo_midi(tmp_path / "song.mid", song)
    file = mido.MidiFile(tmp_path / "song.mid")
    now, metres = 0, []
    for message in file.tracks[0]:
        now += message.time
        if message.type == "time_signature":
            metres.append((now / TICKS, message.numerator, message.denominator))
    assert metres == [(0, 4, 4), (16, 3, 4), (28, 7, 8)]
    told = seconds_by(file)
    assert max(abs(told(beat * TICKS) + ONE - TRUTH[beat]) for beat in range(40)) < 40e-6
    again = take_song_map(set_beat_one(Session(rate=RATE), ONE), read_tempo_map(tmp_path / "song.mid"))
    assert (again.tempo, again.metre) == (song.tempo, song.metre)


def test_json_says_and_reads_all_of_it(song, tmp_path):
    write_tempo_json(tmp_path / "song.json", song)
    told = read_tempo_map(tmp_path / "song.json")
    again = take_song_map(Session(rate=RATE), told)
    assert (again.tempo, again.metre) == (song.tempo, song.metre)


@pytest.mark.parametrize("name", ["wav24", "flac24", "ogg"])
def test_markers_of_a_file_carry_tempo_metre_and_sections(song, tmp_path, name):
    encoding, frames = ENCODINGS[name], round(exact(40.0) * RATE)
    path = tmp_path / f"song{encoding.suffix}"
    sound = np.random.default_rng(3).standard_normal((frames, 1)) * 0.1
    soundfile.write(path, sound, RATE, format=encoding.container, subtype=encoding.subtype)
    with path.open("r+b") as file:
        put_markers(file, encoding, markers_of(song, 0, frames), RATE, frames)
    told = read_markers(path)
    assert metre_told(told) == song.metre
    assert sections_of(told, frames / RATE) == song.sections
    recording = Recording("c" * 32, path.name, RATE, frames, 1, fit=fit_told(told, RATE, frames))
    beats = beats_by(recording.fit, None, recording, no_hits, metre_map(Metre()))
    at = np.arange(0, 39, 0.5)
    assert np.abs(beats.seconds_at(at) - exact(at)).max() * RATE < 1.0


def test_a_part_of_the_song_counts_from_its_own_first_bar(song):
    start, end = (round(exact(beat) * RATE) for beat in (16.0, 35.0))
    told = markers_of(song, start, end)
    assert told.metre == "3/4"
    assert [(each.bar, each.metre.words) for each in told.metre_changes] == [(4, "7/8")]
    assert [(each.beat, each.beats_per_minute) for each in told.tempi] == [(0, 120), (8, 100)]


def document(bpms, beats=4):
    changes = [{"beat": at // 2, "seconds": 0, "bpm": bpm} for at, bpm in enumerate(bpms)]
    return json.dumps(
        {"beat_one_seconds": 0, "metre": {"beats": beats, "unit": 4}, "changes": changes, "sections": []}
    ).encode()


def test_a_file_that_says_nonsense_of_its_bars_is_believed_in_nothing_of_it(tmp_path):
    told = Markers(
        120.0, "4/4", 0.5, tempi=tuple(TempoChange(at, 100.0 + at) for at in (0.0, 1e-9, 900_000.0))
    )
    pins = fit_told(told, 1000, 4000).pins
    assert all(a.frame < b.frame and a.beat < b.beat for a, b in pairwise(pins))
    late = mido.MidiFile(ticks_per_beat=1)
    late.tracks.append(
        mido.MidiTrack(
            [
                mido.MetaMessage("set_tempo", tempo=500_000),
                mido.MetaMessage("set_tempo", tempo=400_000, time=1 << 27),
            ]
        )
    )
    late.save(tmp_path / "late.mid")
    with pytest.raises(UnusableFile, match="is not a tempo map"):
        read_tempo_map(tmp_path / "late.mid")


@pytest.mark.parametrize(
    "data",
    [
        *(b"", b"MThd", b"{}", b"MThd\0\0\0\6\0\1\0\1\xe7\x28"),
        *(document([]), document([120], 99), document([120, 90])),
    ],
)
def test_what_is_no_tempo_map_is_refused_with_a_way_out(tmp_path, data):
    (tmp_path / "a.mid").write_bytes(data)
    with pytest.raises(UnusableFile, match="is not a tempo map"):
        read_tempo_map(tmp_path / "a.mid")
    with pytest.raises(UnusableFile, match="cannot be read"):
        read_tempo_map(tmp_path / "none.mid")
