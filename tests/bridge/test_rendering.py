"""The mix follows the session, at once or when a hand rests; what nobody reads is given back."""

import numpy as np
import pytest

from chronotome.bridge import rendering as module
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.dsp.stretch.gaps import Fill
from chronotome.engine.control import Word
from chronotome.session.edits.fitting import TempoSync, set_following, set_recording_tempo
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import move_hit
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import set_level, set_moving
from chronotome.session.follow import moved_with
from chronotome.session.onsets import onsets_from
from sounds import write


@pytest.fixture
def playing(works):
    works.document.open([works.drum("a.wav")])
    works.settle()
    works.track = works.store.session.tracks[0].id
    works.transport.play()
    works.player.step(4)
    return works


def serial(works):
    return works.player.control.get(Word.ADOPTED_SERIAL)


def test_an_edit_is_with_the_player_when_it_is_said_to_be(playing):
    before, track = serial(playing), playing.track

    playing.store.apply(lambda s: set_level(s, track, -90.0), "Softer")
    assert not playing.rendering.is_current
    playing.settle()
    playing.player.step(4)

    assert serial(playing) > before
    assert abs(playing.player.played()[-512:]).max() < 1e-4


def test_a_fault_in_one_mix_is_raised_here_and_the_next_edit_is_heard(playing, qtbot, monkeypatch):
    plan, track, before = module.plan_for, playing.track, serial(playing)
    monkeypatch.setattr(module, "plan_for", lambda _session: 1 // 0)

    with qtbot.captureExceptions() as raised:
        playing.store.apply(lambda s: set_level(s, track, -3.0), "Softer")
        qtbot.waitUntil(lambda: bool(raised))
    monkeypatch.setattr(module, "plan_for", plan)
    playing.store.apply(lambda s: set_level(s, track, -6.0), "Softer")
    playing.settle()

    assert raised[0][0] is ZeroDivisionError
    assert serial(playing) > before


def test_the_playhead_stays_at_its_bar_when_the_tempo_changes_while_it_plays(playing):
    track = playing.track
    playing.store.apply(lambda s: set_beat_one(set_tempo(s, 120.0), 2000 / 48000), "Fit")
    playing.store.apply(
        lambda s: set_following(set_recording_tempo(s, track, 120.0), track, TempoSync.RECORDING), "Follow"
    )
    playing.settle()
    playing.player.step(20)
    before, tempo = playing.player.control.get(Word.POSITION), playing.store.session.tempo

    playing.store.apply(lambda s: set_tempo(s, 60.0), "Tempo")
    playing.settle()

    moved = moved_with(before, tempo, playing.store.session)
    assert playing.player.control.get(Word.POSITION) == moved + 2 * 512
    assert playing.player.control.get(Word.MOVE_SERIAL) == 0


def test_while_very_much_moves_the_mix_waits_for_the_hand_to_rest(playing, qtbot, monkeypatch):
    monkeypatch.setattr(module, "MANY_HITS", 1)
    track, before = playing.track, serial(playing)

    playing.store.draft(lambda s: set_level(s, track, -20.0))
    asked_at_once = not playing.rendering.is_current and playing.rendering._latest.wait_idle(0.02)
    playing.player.step(1)
    during = serial(playing)
    qtbot.waitUntil(lambda: playing.rendering.is_current, timeout=4000)
    playing.player.step(1)

    assert asked_at_once
    assert (during, serial(playing) > before) == (before, True)


def test_samples_of_a_closed_session_are_given_back_when_no_mix_reads_them(playing):
    full = playing.arena.resident_bytes
    playing.transport.stop()
    playing.document.new()
    playing.rendering.ask()
    playing.settle()
    playing.player.step(4)
    playing.document.open([playing.drum("b.wav", frames=(900, 9000), total=24000, seed=3)])
    playing.settle()
    playing.player.step(4)
    playing.rendering.ask()
    playing.settle()

    assert playing.arena.resident_bytes < 0.75 * full


def test_joins_above_the_proof_are_told_and_gone_once_they_are_mended(works, tmp_path, qtbot):
    tone = 0.5 * np.sin(2 * np.pi * 60 * np.arange(96000) / 48000)
    works.document.open([write(tmp_path / "tone.wav", tone.astype(np.float32)[:, None], rate=48000)])
    works.settle()
    track = works.store.session.tracks[0]
    onsets = onsets_from(np.array([2000, 26000, 50000]), np.full(3, 90.0), np.ones(3, np.int64))
    content = works.store.session.recordings[0].content

    def cut(session):
        session = set_analysis(session, content, onsets, None)
        session = set_moving(session, track.id, by=MoveBy.CUTTING, fill=Fill.NOTHING, crossfade=0.5)
        return move_hit(session, track.id, track.clips[0].id, 2, session.beat_of(27500))

    told = []
    works.rendering.checked.connect(lambda: told.append(works.rendering.rough))
    works.store.apply(cut, "Cut")
    qtbot.waitUntil(lambda: bool(told), timeout=8000)
    assert sum(len(each.rows) for each in told[-1]) > 0
    works.store.undo()
    qtbot.waitUntil(lambda: works.rendering.rough == (), timeout=8000)
