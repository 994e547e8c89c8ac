"""The proof is there while it is edited: a click on a join goes there, and what clicks can be mended."""

from pathlib import Path

import numpy as np
import pytest
import soundfile
from PySide6.QtCore import QEvent, QPointF, Qt
from PySide6.QtGui import QMouseEvent

from chronotome.dsp.clicks import ALLOWED, nearest_crossing
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.render.join_report import Edge, JoinReport
from chronotome.session.edits.clips import split, trim
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_click, set_loop
from chronotome.session.edits.tracks import set_moving
from chronotome.session.model import Click
from chronotome.ui.state.view_state import Stage
from sounds import write


@pytest.fixture
def proved(at_work):
    at_work.desk.view.show_stage(Stage.EXPORT)
    at_work.wait(lambda: at_work.desk.proving.proof is not None)
    return at_work


def again(person):
    """Once the session is another one."""
    person.settle()
    person.wait(lambda: person.desk.proving.proof is not None)
    return person.desk.proving.proof


def lane(person):
    return person.window.timeline.evidence["proof"]


def click(person, x, button=Qt.MouseButton.LeftButton):
    place = QPointF(x, 40)
    none = Qt.KeyboardModifier.NoModifier
    event = QMouseEvent(
        QEvent.Type.MouseButtonPress, place, lane(person).mapToGlobal(place), button, button, none
    )
    lane(person).mousePressEvent(event)


def loudest_bad(person, monkeypatch):
    """As if one join clicked: the threshold is where the machine's own joins are."""
    proof = person.desk.proving.proof
    levels = proof.levels.copy()
    levels[len(levels) // 2] = ALLOWED + 3
    person.desk.proving.proof = JoinReport(proof.found, levels, proof.peak, proof.loudness)
    return len(levels) // 2


def test_it_follows_each_edit_and_is_nowhere_old(proved):
    before = proved.desk.proving.proof
    track = proved.session.tracks[0].id
    assert f"{len(before.joins)} joins, no clicks" in proved.window.export_tray.proof.text()

    proved.desk.store.apply(lambda s: set_tighten(s, track, strength=0.0), "Strength")
    assert proved.desk.proving.proof is None
    assert "Checking joins" in proved.window.export_tray.proof.text()
    after = again(proved)
    assert len(after.joins) == 0
    assert after.peak == pytest.approx(np.abs(proved.offline(proved.session.frames)).max(), rel=1e-6)


def test_a_session_opened_while_export_is_shown_is_being_listened_to(person, hits_file):
    person.desk.view.show_stage(Stage.EXPORT)
    said = person.window.export_tray.proof
    assert said.text() == "Nothing to export. Open a recording."
    person.window.open([hits_file])
    person.settle()
    assert said.text() != "Nothing to export. Open a recording."


def test_nobody_is_served_while_nobody_looks(at_work):
    track = at_work.session.tracks[0].id
    at_work.desk.store.apply(lambda s: set_tighten(s, track, strength=0.9), "Strength")
    at_work.settle()
    at_work.bot.wait(400)
    assert at_work.desk.proving.proof is None


def test_the_click_is_not_part_of_what_is_proved(proved):
    before = proved.desk.proving.proof
    proved.desk.store.apply(lambda s: set_click(s, Click(is_on=True, level=6.0)), "Metronome")
    after = again(proved)
    assert (after.peak, after.loudness) == (before.peak, before.loudness)


def test_a_click_on_a_join_goes_there(proved):
    proof = proved.desk.proving.proof
    frame = int(proof.joins[5])
    click(proved, lane(proved).x_of(frame))
    assert proved.desk.transport.position == frame
    assert "inaudible" in proved.window.status.words.text()
    gap = max(range(len(proof.joins) - 1), key=lambda at: proof.joins[at + 1] - proof.joins[at])
    middle = (int(proof.joins[gap]) + int(proof.joins[gap + 1])) / 2
    click(proved, lane(proved).x_of(middle))
    assert proved.desk.transport.position == pytest.approx(middle, abs=2)


def test_n_goes_to_what_clicks_and_a_longer_crossfade_is_offered(proved, monkeypatch):
    proved.press("n")
    assert "No join clicks" in proved.window.status.words.text()
    track = proved.session.tracks[0].id
    proved.desk.store.apply(lambda s: set_moving(s, track, by=MoveBy.CUTTING), "Cutting")
    again(proved)
    number = loudest_bad(proved, monkeypatch)
    proved.desk.transport.go_to(0)
    proved.press("n")
    assert proved.desk.transport.position == proved.desk.proving.proof.joins[number]
    assert "Audible" in proved.window.status.words.text()

    menu = lane(proved).offer(number)
    (action,) = menu.actions()
    assert action.text() == "Lengthen crossfade"
    before = proved.session.tracks[0].moving.crossfade
    action.trigger()
    assert proved.session.tracks[0].moving.crossfade == 2 * before
    assert proved.desk.store.history.undo_label == "Fix: lengthen crossfade"


def test_a_cut_edge_is_faded_longer_or_put_where_the_wave_crosses(proved):
    track = proved.session.tracks[0]
    proved.desk.store.apply(lambda s: split(s, track.id, [30_000]), "Slice at")
    second = proved.session.tracks[0].clips[1]
    proved.desk.store.apply(lambda s: trim(s, track.id, second.id, start=31_003, end=None), "Trim")
    proof = again(proved)
    starts = np.flatnonzero((proof.found.edges == Edge.START) & (proof.found.clips == second.id))
    ends = np.flatnonzero(proof.found.edges == Edge.END)
    assert len(starts) == 1
    assert len(ends) == 1
    mends = dict(proved.window.commands.proof.mends(int(starts[0])))
    assert list(mends) == ["Lengthen fade", "Snap to zero crossing"]
    mends["Lengthen fade"]()
    assert proved.session.tracks[0].clip(second.id).fade_in == 0.01
    mends["Snap to zero crossing"]()
    frame = proved.session.tracks[0].clip(second.id).source_start
    samples = proved.desk.recordings.pool.get(second.recording).region.samples.sum(axis=1)
    assert 0 < abs(frame - 31_003) < 1000
    assert samples[frame - 1] * samples[frame] <= 0
    again(proved)
    dict(proved.window.commands.proof.mends(int(ends[0])))["Lengthen fade"]()
    assert proved.session.tracks[0].clips[0].fade_out == 0.01


def test_the_nearest_crossing_of_a_wave():
    wave = np.sin(2 * np.pi * np.arange(1000) / 100 + 0.1)[:, None].astype(np.float32)
    found = nearest_crossing(wave, 130, 60)
    assert wave[found - 1, 0] * wave[found, 0] <= 0
    assert abs(found - 130) <= 50
    assert nearest_crossing(np.ones((100, 2), np.float32), 50, 20) == 50
    assert nearest_crossing(np.zeros((0, 1), np.float32), 5, 20) == 5


def full(person, tmp_path, samples):
    person.window.open([write(tmp_path / "full.wav", samples.astype(np.float32)[:, None], rate=48000)])
    person.settle()
    person.desk.view.show_stage(Stage.EXPORT)
    return again(person)


def test_a_recording_that_begins_in_the_middle_of_a_sound_clicks_and_none_is_called_clean(person, tmp_path):
    time = np.arange(48000) / 48000
    tone = 0.155 * np.cos(2 * np.pi * 110 * time) * np.exp(-time * 20)
    proof = full(person, tmp_path, tone)
    assert proof.clicks == 1
    assert (proof.joins[0], proof.found.edges[0]) == (0, Edge.START)
    assert "1 click (N: next)" in person.window.export_tray.proof.text()


def test_one_that_rises_from_silence_and_ends_in_it_has_no_joins(person, tmp_path):
    time = np.arange(48000) / 48000
    proof = full(person, tmp_path, 0.5 * np.sin(2 * np.pi * 110 * time) * np.sin(np.pi * time) ** 2)
    assert len(proof.joins) == 0


def test_what_would_be_cut_off_is_told_before_it_is_written_with_three_ways_out(person, tmp_path):
    time = np.arange(48000) / 48000
    loud = 1.7 * np.sin(2 * np.pi * 110 * time) * np.sin(np.pi * time) ** 2
    track = Path(tmp_path / "full.wav")
    soundfile.write(track, loud.astype(np.float32), 48000, subtype="FLOAT")
    person.window.open([track])
    person.settle()
    tray = person.window.export_tray
    person.desk.view.show_stage(Stage.EXPORT)
    again(person)

    assert tray.over.isVisibleTo(tray)
    assert "4.6 dB over full scale" in tray.over_words.text()
    assert "peak 4.6 dB" in tray.about.said
    tray.as_float.click()
    assert not tray.over.isVisibleTo(tray)
    assert tray.encoding.subtype == "FLOAT"
    tray.precision.set_index(1)
    tray.precision.chosen.emit(1)
    assert tray.over.isVisibleTo(tray)
    assert tray.lowered.text() == "Lower by 4.6 dB"
    tray.lowered.click()
    assert not tray.over.isVisibleTo(tray)
    tray.export(tmp_path / "out.wav")
    person.settle()
    written = soundfile.read(tmp_path / "out.wav")[0]
    assert 0.999 < np.abs(written).max() <= 1.0
    tray.aim.set_index(0)
    tray.aim.chosen.emit(0)
    tray.left.click()
    assert not tray.over.isVisibleTo(tray)


def test_the_choice_of_the_loop_outlives_a_step_back_to_where_there_was_none(proved):
    tray, store = proved.window.export_tray, proved.desk.store
    store.apply(lambda session: set_loop(session, 0.0, 4.0), "Loop")
    tray.span.set_index(1)
    tray.span.chosen.emit(1)
    proved.window.undo()
    assert tray.span.index == 0
    proved.window.redo()
    assert tray.span.index == 1
    assert tray._frames(proved.session)[1] is not None
