"""What is heard from the shelf: in the song's tempo, round in whole beats, gone when it is stopped."""

import numpy as np
import pytest

from chronotome.bridge import shelf as module
from chronotome.errors import Cancelled
from chronotome.files.patterns import write_pattern
from chronotome.session.edits.patterns import move_steps, pattern_of_clip, remove_steps
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.normalise_patterns import settled
from sounds import noise_hits, write
from strategies import simple_session, with_audio


@pytest.fixture
def shelf(works, tmp_path):
    folder = tmp_path / "shelf"
    folder.mkdir()
    step = round(48000 * 60 / 100 / 2)
    frames = [place * step for place in range(16)]
    for name, seed in (("loop_100bpm.wav", 1), ("other_100bpm.wav", 2)):
        write(folder / name, noise_hits(frames, 16 * step, rate=48000, seed=seed), rate=48000)
    write(folder / "silence.wav", np.zeros((20000, 1), np.float32), rate=48000)
    works.store.apply(lambda s: set_tempo(s, 120.0), "Tempo")
    works.shelf.open(folder)
    works.qtbot.waitUntil(lambda: works.tasks.is_idle and len(works.shelf.entries) == 3)
    works.entry = {entry.name: entry for entry in works.shelf.entries}
    works.rounds = []
    hear = works.transport.hear
    works.transport.hear = lambda region, start, end, *gain, **how: (
        works.rounds.append((region, end - start, how.get("loops", 0))),
        hear(region, start, end, *gain, **how),
    )
    return works


def test_a_loop_is_fitted_to_the_song_and_goes_round_in_whole_beats(shelf):
    shelf.shelf.hear(shelf.entry["loop_100bpm.wav"])
    shelf.qtbot.waitUntil(lambda: bool(shelf.rounds), timeout=8000)

    ((_, frames, loops),) = shelf.rounds
    assert (frames, loops) == (8 * 24000, 8 * 24000)
    shelf.player.start(48000)
    shelf.player.step(8)
    assert np.abs(shelf.player.played()[-4096:]).max() > 0.05


def test_of_two_wishes_the_later_is_heard_and_the_other_one_s_memory_is_given_back(shelf):
    first, second = shelf.entry["loop_100bpm.wav"], shelf.entry["other_100bpm.wav"]
    shelf.shelf.hear(second)
    shelf.qtbot.waitUntil(lambda: shelf.tasks.is_idle, timeout=8000)
    one = shelf.arena.resident_bytes

    shelf.shelf.hear(first)
    shelf.shelf.hear(second)
    shelf.qtbot.waitUntil(lambda: shelf.tasks.is_idle, timeout=8000)

    assert len(shelf.rounds) == 2
    assert shelf.shelf.heard is second
    assert shelf.arena.resident_bytes == one


def test_silence_and_sound_out_of_tempo_are_heard_once_and_stopping_ends_it(shelf):
    shelf.shelf.in_song_tempo = False
    shelf.shelf.hear(shelf.entry["loop_100bpm.wav"])
    shelf.qtbot.waitUntil(lambda: len(shelf.rounds) == 1, timeout=8000)
    shelf.shelf.hear(shelf.entry["silence.wav"])
    shelf.qtbot.waitUntil(lambda: len(shelf.rounds) == 2, timeout=8000)
    shelf.shelf.stop()

    assert [loops for _, _, loops in shelf.rounds] == [0, 0, 0]
    assert shelf.rounds[-1][1] == 0
    assert shelf.shelf.heard is None


def test_what_is_cancelled_gives_its_memory_back(shelf, monkeypatch):
    def cancelled(*_, **__):
        raise Cancelled

    monkeypatch.setattr(module, "analyse", cancelled)
    before = shelf.arena.resident_bytes

    shelf.shelf.hear(shelf.entry["loop_100bpm.wav"])
    shelf.qtbot.waitUntil(lambda: shelf.tasks.is_idle, timeout=8000)

    assert shelf.arena.resident_bytes == before
    assert shelf.shelf.heard is None
    assert shelf.errors == []


def test_a_pattern_of_the_shelf_is_heard_at_the_song_s_tempo_in_whole_rounds(works, tmp_path):
    session, places = with_audio(simple_session([400, 6700, 11500], 24000), tmp_path)
    track = session.tracks[0]
    session = settled(pattern_of_clip(session, (track.id, track.clips[0].id)))
    beats, number = session.patterns[0].beats, session.patterns[0].id
    before, last, *after = session.patterns[0].ids
    session = remove_steps(session, number, [before, *after])
    session = move_steps(session, number, [last], beats - 0.1 - session.patterns[0].places[0], {})
    write_pattern(tmp_path / "shelf" / "evening", session, number, places)
    rounds, hear = [], works.transport.hear
    works.transport.hear = lambda *span, **how: (rounds.append((span, how)), hear(*span, **how))
    works.store.apply(lambda s: set_tempo(s, 150.0), "Tempo")
    works.shelf.open(tmp_path / "shelf")
    works.qtbot.waitUntil(lambda: works.tasks.is_idle and len(works.shelf.entries) == 1)
    bytes_before = works.arena.resident_bytes

    works.shelf.hear(works.shelf.entries[0])
    works.qtbot.waitUntil(lambda: bool(rounds), timeout=8000)

    (region, start, end, *_), how = rounds[0]
    assert (start, end, how["loops"]) == (0, *2 * (round(beats * 60 / 150 * works.store.session.rate),))
    assert np.abs(region.samples).max() > 0.05
    assert np.abs(region.samples[:400]).max() > 0.001  # the end of the round before rings on
    assert works.arena.resident_bytes - bytes_before <= region.frames * 8 + 8192  # its sources are gone
