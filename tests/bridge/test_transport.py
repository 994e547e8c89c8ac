"""Where it plays from, where it returns to, what goes round."""

import numpy as np
import pytest

from chronotome.engine.control import Word
from chronotome.render.mix import Side
from chronotome.session.edits.fitting import TempoSync, set_following, set_recording_tempo
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.timing import set_beat_one, set_click, set_loop, set_looping
from chronotome.session.model import Click


@pytest.fixture
def transport(works):
    works.document.open([works.drum("a.wav")])
    works.settle()
    works.store.apply(lambda s: set_beat_one(set_tempo(s, 120.0), 2000 / 48000), "Fit")
    works.settle()
    return works


def position(works):
    return works.player.control.get(Word.POSITION)


def test_it_plays_from_the_playhead_and_past_the_end_from_the_start(transport):
    transport.transport.go_to(30000)
    transport.transport.play()
    transport.player.step(3)
    assert position(transport) == 30000 + 3 * 512

    transport.transport.stop()
    transport.transport.go_to(96000)
    transport.transport.play()
    transport.player.step(2)
    assert position(transport) == 2 * 512


def test_it_returns_to_where_it_was_started_and_from_there_to_the_loop(transport):
    move = transport.transport
    transport.store.apply(lambda s: set_looping(set_loop(s, 1.0, 3.0), True), "Loop")
    move.go_to(30000)
    move.play()
    transport.player.step(40)
    move._on_tick()
    assert move.position > 30000

    move.go_back()
    assert move.position == 30000
    move.go_back()
    assert move.position == round(transport.store.session.tempo.seconds_of(1.0) * 48000)


def test_what_goes_round_is_the_loop_to_the_frame_and_only_while_it_is_on(transport):
    transport.store.apply(lambda s: set_looping(set_loop(s, 1.0, 2.0), True), "Loop")
    transport.settle()
    start, end = (round(transport.store.session.tempo.seconds_of(beat) * 48000) for beat in (1.0, 2.0))
    transport.transport.go_to(end - 100)
    transport.transport.play()
    transport.player.step(1)
    assert position(transport) == start + 412

    transport.store.apply(lambda s: set_looping(s, False), "No loop")
    transport.transport.go_to(end - 100)
    transport.player.step(1)
    assert position(transport) == end + 412


def test_stopped_the_playhead_stays_at_its_bar_where_something_follows_the_song(transport):
    track = transport.store.session.tracks[0].id
    tempo = transport.store.session.tempo
    transport.transport.go_to(tempo.seconds_of(2.0) * 48000)
    before = transport.transport.position

    transport.store.apply(lambda s: set_tempo(s, 100.0), "Tempo")
    assert transport.transport.position == before
    transport.store.undo()
    transport.store.apply(
        lambda s: set_following(set_recording_tempo(s, track, 120.0), track, TempoSync.RECORDING), "Who"
    )
    transport.store.apply(lambda s: set_tempo(s, 100.0), "Tempo")

    now = transport.store.session.tempo.beat_of(transport.transport.position / 48000)
    assert now == pytest.approx(2.0, abs=1e-3)
    assert transport.transport.position != before


def test_a_count_sounds_before_it_plays_and_its_memory_is_used_again(transport):
    transport.store.apply(lambda s: set_click(s, Click(count_in=1, level=0.0)), "Count")
    transport.settle()
    sizes = set()
    for _ in range(3):
        transport.transport.play()
        transport.player.step(2)
        sizes.add(transport.arena.resident_bytes)
        transport.transport.stop()
        transport.player.step(2)

    played = transport.player.played()
    assert np.abs(played).max() > 0.3
    assert position(transport) == 0
    assert len(sizes) == 1


def test_sides_are_told_once_and_nothing_plays_without_a_track(works):
    told = []
    works.transport.side_changed.connect(told.append)
    works.transport.listen(Side.AS_PLAYED)
    works.transport.listen(Side.AS_PLAYED)
    works.transport.play()

    assert told == [Side.AS_PLAYED]
    assert not works.transport.is_playing
