"""What a stranger ran into at the window, each once."""

from types import SimpleNamespace

import numpy as np
import pytest
import soundfile
from PySide6.QtCore import Qt
from PySide6.QtGui import QColor
from PySide6.QtWidgets import QFileDialog, QMessageBox

from chronotome.dsp.bands import Instrument
from chronotome.render.plan import plan_for
from chronotome.session.edits.clips import crop
from chronotome.session.edits.fitting import (
    TempoSync,
    bars_in,
    set_bars,
    set_following,
    set_recording_beat_one,
)
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.grid import Grid
from chronotome.session.targets import LEAST_APART_SECONDS
from chronotome.session.tighten import targets_of
from chronotome.ui.controls.typed import TypedFigure, number_in
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.decision import decision_now
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.waveform import wave_image
from chronotome.ui.window.recovery import offer_recovery
from sounds import noise_hits, write

RATE = 48000
SHIFT = Qt.KeyboardModifier.ShiftModifier


def targets(person):
    session = person.session
    return targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)


def place_of(person, at):
    lane = person.window.timeline.evidence["drift"]
    xs, played, _ = lane._points(lane.shown, lane._scale(lane.shown))
    return xs[at], played[at]


def loop_at(tempo, bars, path):
    """A loop of so many bars, accented, its end cut."""
    step = 60 / tempo / 2
    frames = [round(place * step * RATE) for place in range(8 * bars)]
    loud = [0.9, 0.3, 0.6, 0.3] * 2 * bars
    return write(path, noise_hits(frames, round(8 * bars * step * RATE), rate=RATE, loudness=loud), rate=RATE)


# The first recording


@pytest.fixture
def first(person, tmp_path):
    person.window.open([loop_at(104.0, 2, tmp_path / "harbour.wav")])
    person.settle()
    person.wait(person.window.decision.isVisible)
    return person


def test_the_first_recording_asks_once_whether_the_song_takes_its_tempo(first):
    assert "104.00 bpm, 2 bars" in first.window.decision.words.text()
    assert first.desk.view.stage is Stage.MARK
    assert first.window.rail.cards[Stage.TIGHTEN].figures.to_check == 0

    first.press(Qt.Key.Key_Return)
    first.settle()

    assert first.session.tempo.at(0.0) == pytest.approx(104.0, abs=0.01)
    assert first.desk.view.stage is Stage.MARK
    assert not first.window.decision.isVisible()


def test_from_a_loop_to_its_tightened_file_in_six_gestures(first, tmp_path, monkeypatch):
    """Dropped; its tempo is taken, Tighten opened, tightened, Export opened, exported."""
    out = tmp_path / "tight.wav"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_a, **_k: (str(out), "WAV (*.wav)"))
    first.press(Qt.Key.Key_Return)
    first.settle()
    first.press(Qt.Key.Key_3)
    first.settle()
    first.wait(lambda: "Tighten it to 1/16?" in first.window.decision.words.text())
    first.press(Qt.Key.Key_Return)
    first.settle()
    assert first.desk.view.stage is Stage.TIGHTEN
    assert first.session.tracks[0].tighten.strength == 1.0
    assert np.abs(targets(first).target - targets(first).line).max() <= 1
    assert decision_now(first.desk) is None
    first.press(Qt.Key.Key_5)
    first.press(Qt.Key.Key_E, Qt.KeyboardModifier.ControlModifier)
    first.wait(out.exists)
    first.settle()
    assert soundfile.info(out).frames > 0


def test_the_song_can_be_left_at_its_tempo_and_tighten_says_that_they_disagree(first):
    first.press(Qt.Key.Key_Escape)
    first.desk.view.show_stage(Stage.TIGHTEN)
    first.settle()
    first.wait(first.window.decision.isVisible)

    assert first.session.is_tempo_set
    assert first.session.tempo.at(0.0) == 120
    assert "is at 104.00, the song is at 120.00" in first.window.decision.words.text()
    first.window.decision.yes.click()
    first.settle()
    assert decision_now(first.desk).about == "first tightening"
    assert np.abs(targets(first).drift).max() < 2


@pytest.mark.parametrize(("now", "step", "then"), [(1.94, 1, 2), (2.0, 1, 3), (0.76, 1, 1), (1.94, -1, 1)])
def test_plus_and_minus_go_to_the_next_whole_number_of_bars(first, now, step, then):
    track = first.session.tracks[0]
    first.desk.store.apply(lambda session: set_bars(session, track.id, now), "Bars")

    first.window.actions_table.run("more-bars" if step > 0 else "fewer-bars")

    assert bars_in(first.session, first.session.tracks[0].clips[0].take) == pytest.approx(then, abs=0.001)


def test_a_loop_of_an_odd_tempo_fills_its_bars_to_the_frame(person, tmp_path):
    person.window.open([loop_at(103.97, 4, tmp_path / "odd.wav")])
    person.settle()
    track = person.session.tracks[0].id

    person.desk.store.apply(lambda session: set_beat_one(set_tempo(session, 100.0), 0.0), "Tempo")
    person.desk.store.apply(lambda session: set_following(session, track, TempoSync.RECORDING), "Follow")

    plan = plan_for(person.session)
    score = plan.tracks[0].clips[0].score
    assert [score.heard[0], score.until[-1]] == [0, round(9.6 * RATE)]


def test_a_pickup_gets_room_before_bar_1_and_the_window_says_so(first):
    track = first.session.tracks[0].id
    first.press(Qt.Key.Key_Return)
    one = round(60 / 104.0 * first.session.recordings[0].rate)
    apply, status = first.desk.store.apply, first.window.status.words

    for beats, bpm, said in ((3, 40.0, "1 bar,"), (1, 80.0, "173 ms,")):
        before = first.session
        apply(lambda session, at=beats * one: set_recording_beat_one(session, track, at), "Beat one")
        apply(lambda session: set_following(session, track, TempoSync.RECORDING), "Follow")
        apply(lambda session, bpm=bpm: set_tempo(session, bpm), "Slower")
        assert f"Bar 1 moved right by {said}" in status.said
        if beats > 1:
            while first.session is not before:
                first.desk.store.undo()

    assert (np.diff(targets(first).target) > 0.25 * RATE).all()


# Waves


def test_what_is_cropped_is_drawn_no_longer_than_it_is(at_work):
    track, clip = at_work.session.tracks[0], at_work.session.tracks[0].clips[0]
    frame = at_work.session.recordings[0].frames // 2

    at_work.desk.store.apply(lambda session: crop(session, track.id, clip.id, 0, frame), "Crop")
    at_work.desk.view.chosen.focus(track.id)
    at_work.settle()

    wave = at_work.window.timeline.wave
    image, theme = wave.grab().toImage(), at_work.desk.view.theme
    middle = wave.height() // 2
    inked = {
        x
        for x in range(HEADER + 2, wave.width() - 2)
        for y in range(middle - 40, middle + 41, 4)
        if image.pixelColor(x, y) == QColor(theme.wave)
    }
    end = wave.x_of(float(wave.shown.heard_anchors[-1]))
    assert min(inked) < end < max(range(wave.width()))
    assert max(inked) <= end + 2


def test_a_wave_is_as_tall_as_it_is_loud():
    highs = np.array([0.5, 0.9, 1.0], np.float32)

    image = wave_image(-highs, highs, QColor("#000000"), height=102, ratio=1.0)

    def rows(column):
        return sum(image.pixelColor(column, y).alpha() > 127 for y in range(102))

    assert [rows(column) for column in range(3)] == [50, 90, 100]


def test_left_of_its_first_anchor_a_wave_is_drawn_from_samples_too(at_work):
    from chronotome.ui.timeline.waveform import columns

    wave = at_work.window.timeline.wave
    at_work.desk.view.sight.show(at_work.desk.view.sight.viewport.fitted(0, 8000))
    source = at_work.desk.recordings.pool.get(wave.shown.recording.content)

    _, highs = columns(source, *wave.shown.under(at_work.desk.view.sight.viewport.edges()))

    blocks = np.flatnonzero(np.diff(highs[highs > 0.02]) != 0)
    assert np.median(np.diff(blocks)) <= 2


def test_all_of_it_stays_in_sight_however_long_it_becomes(first):
    view = first.desk.view
    before = view.sight.viewport

    first.desk.store.apply(lambda session: set_tempo(session, 60.0), "Slow")
    first.window.actions_table.run("follow-song")
    first.settle()

    assert before.start < 0 < first.session.frames < before.end
    assert view.sight.viewport.end > view.sight.extent > first.session.frames


# Files


def test_tracks_lie_in_the_order_of_the_files_whichever_is_read_first(person, tmp_path):
    long = write(tmp_path / "a long one.wav", noise_hits([100], 60 * RATE, rate=RATE), rate=RATE)
    short = write(tmp_path / "b short one.wav", noise_hits([100], RATE, rate=RATE), rate=RATE)

    person.window.open([long, short])
    person.settle()

    assert [track.name for track in person.session.tracks] == ["a long one", "b short one"]
    assert person.window.timeline.wave.buttons.isVisible()


def test_what_cannot_be_read_to_its_end_never_becomes_a_track(person, hits_file, tmp_path):
    whole = tmp_path / "whole.flac"
    samples, rate = soundfile.read(hits_file, dtype="float32")
    soundfile.write(whole, samples, rate)
    torn = tmp_path / "torn.flac"
    torn.write_bytes(whole.read_bytes()[: whole.stat().st_size // 2])
    odd = tmp_path / "odd.wav"
    soundfile.write(odd, np.where(np.arange(len(samples))[:, None] == 7000, np.nan, samples), rate, "FLOAT")

    person.window.open([torn, hits_file, odd])
    person.settle()

    assert [track.name for track in person.session.tracks] == ["stairwell"]
    told = person.window.messages.told
    assert sum("torn.flac" in each for each in told) == 1
    assert sum("odd.wav" in each for each in told) == 1
    boxes = [box for box in person.window.findChildren(QMessageBox) if box.isVisible()]
    assert not boxes
    while person.desk.store.history.past:
        person.desk.store.undo()
    assert not person.session.tracks


def test_files_that_were_named_are_not_thrown_away_by_recovery(
    person, own_home, hits_file, at_work, tmp_path
):
    from chronotome.files.places import journal_folder

    at_work.window._journal.flush()
    journal_folder().mkdir(parents=True)
    (journal_folder() / "left.jsonl").write_bytes(at_work.window._journal.path.read_bytes())
    other = loop_at(100.0, 1, tmp_path / "other.wav")

    assert offer_recovery(at_work.window, [other])
    (box,) = [each for each in at_work.window.findChildren(QMessageBox) if each.isVisible()]
    next(button for button in box.buttons() if "dd files" in button.text()).click()

    at_work.wait(lambda: [track.name for track in at_work.session.tracks] == ["stairwell", "other"])
    at_work.settle()


def test_cancelled_looking_is_not_shown_as_looking(person, hits_file):
    person.window.open([hits_file])
    person.wait(lambda: any(task.words.startswith("Detecting onsets") for task in person.desk.tasks.running))

    for task in list(person.desk.tasks.running):
        task.cancel()
    person.wait(lambda: person.desk.tasks.is_idle)

    person.wait(lambda: person.window.rail.cards[Stage.MARK].figures.key != "detecting…")


# Drags and keys


def test_undo_while_dragging_cancels_the_drag_and_keeps_the_redo(at_work):
    store, lane = at_work.desk.store, at_work.window.timeline.evidence["drift"]
    store.undo()
    x, y = place_of(at_work, 5)
    before, redo = at_work.session, store.history.redo_label

    at_work.drag(lane, (x, y), (x, y + 30), release=False)
    at_work.window.actions_table.run("undo")

    assert at_work.session is before
    assert store.history.redo_label == redo
    assert lane.drag is None


@pytest.mark.parametrize("far", [-5000, 5000])
def test_a_dragged_hit_stops_at_its_neighbours(at_work, far):
    lane = at_work.window.timeline.wave
    before = targets(at_work).target.copy()
    x = float(lane.xs_of(before[[5]])[0])

    at_work.drag(lane, (x, 4), (x + far, 4))

    now = targets(at_work)
    ratios = np.diff(now.target)[4:6] / np.diff(now.played)[4:6]
    assert ratios.max() == pytest.approx(1.25, abs=0.01) or ratios.min() == pytest.approx(0.8, abs=0.01)
    x = float(lane.xs_of(now.target[[5]])[0])

    at_work.drag(lane, (x, 4), (x + far, 4), modifier=Qt.KeyboardModifier.AltModifier)

    now = targets(at_work).target
    apart = LEAST_APART_SECONDS * RATE
    neighbour = before[4] + apart if far < 0 else before[6] - apart
    assert now[5] == pytest.approx(neighbour, abs=2)
    assert now[[4, 6]].tolist() == before[[4, 6]].tolist()


def test_shift_while_dragging_keeps_it_off_the_grid(at_work):
    lane = at_work.window.timeline.evidence["drift"]
    x, y = place_of(at_work, 5)

    at_work.drag(lane, (x, y), (x, y + 31), modifier=SHIFT)

    landing = targets(at_work).landing[5]
    assert abs(landing - round(landing)) > 0.01


def test_a_click_on_a_lane_gives_the_arrows_back_to_the_hits(at_work):
    tray, lane = at_work.window.trays[Stage.TIGHTEN], at_work.window.timeline.wave
    at_work.click(tray.strength, (60, 32))
    assert tray.strength.hasFocus()
    strength = at_work.session.tracks[0].tighten.strength

    at_work.click(lane, (400, 90))
    at_work.bot.keyClick(at_work.window.focusWidget(), Qt.Key.Key_Right)

    assert at_work.session.tracks[0].tighten.strength == strength
    assert at_work.desk.view.chosen.onset is not None


def test_a_click_on_a_context_lane_chooses_its_track(at_work, tmp_path):
    at_work.window.open([loop_at(100.0, 1, tmp_path / "other.wav")])
    at_work.settle()
    (lane,) = at_work.window.timeline.context_lanes

    at_work.click(lane, (500, 30))

    assert at_work.desk.view.chosen.focused.name == "other"


def test_a_value_is_typed_by_double_click_and_enter(at_work):
    slider = at_work.window.trays[Stage.TIGHTEN].strength

    at_work.double_click(slider, (20, 8))
    (field,) = slider.findChildren(TypedFigure)
    field.setText("62,5 %")
    at_work.bot.keyClick(field, Qt.Key.Key_Return)

    assert at_work.session.tracks[0].tighten.strength == pytest.approx(0.625)
    assert number_in("−3.5 dB") == -3.5
    assert number_in("loud") is None


def test_the_playhead_goes_where_it_is_typed(at_work):
    transport = at_work.window.transport

    at_work.double_click(transport.bar, (20, 8))
    (field,) = transport.bar.findChildren(TypedFigure)
    field.setText("2.3")
    at_work.bot.keyClick(field, Qt.Key.Key_Return)
    bar = at_work.desk.transport.position
    transport.clock.typed.emit("0:01.5")

    assert bar == pytest.approx((0.025 + 3.0) * RATE, abs=1)
    assert at_work.desk.transport.position == pytest.approx(1.5 * RATE, abs=1)


def test_stopped_taps_are_one_step_of_undo(at_work, monkeypatch):
    clock = iter(np.arange(9) * 0.6)
    monkeypatch.setattr("chronotome.ui.commands.fit.time", SimpleNamespace(monotonic=lambda: next(clock)))
    steps = len(at_work.desk.store.history.past)

    for _ in range(9):
        at_work.window.actions_table.run("tap")

    assert len(at_work.desk.store.history.past) == steps + 1
    assert at_work.session.tempo.at(0.0) == pytest.approx(100.0, abs=0.01)


def test_a_stage_key_closes_the_shelf_and_what_is_heard_from_it(at_work):
    at_work.window.toggle_shelf()
    stopped = []
    at_work.desk.shelf.stop = lambda: stopped.append(True)

    at_work.press(Qt.Key.Key_2)

    assert not at_work.window.is_shelf_shown
    assert at_work.desk.view.stage is Stage.FIT
    assert stopped


def test_the_line_says_less_rather_than_running_under_the_figures(at_work):
    status = at_work.window.status
    at_work.desk.view.hint("what the pointer can do here")
    assert status.words.text() == "what the pointer can do here"

    at_work.desk.say("a long sentence " * 30)
    assert status.words.geometry().right() < status.state.geometry().left()
    assert status.words.text().endswith("…")

    at_work.window.actions_table.run("undo")
    assert status.words.said.startswith("Undone: ")


def test_a_grid_that_the_window_does_not_offer_is_kept(at_work):
    track = at_work.session.tracks[0].id

    at_work.desk.store.apply(lambda session: set_tighten(session, track, grid=Grid(12)), "Grid")
    at_work.settle()

    assert at_work.window.trays[Stage.TIGHTEN].division.currentIndex() == -1
    assert at_work.session.tracks[0].tighten.grid == Grid(12)


def test_one_track_is_said_as_one(at_work):
    figures = at_work.window.rail.cards[Stage.REWORK].figures

    assert (figures.key, figures.about) == ("1 clip", "1 track")


def test_every_material_can_be_read_in_its_box(at_work):
    at_work.desk.view.show_stage(Stage.MARK)
    at_work.settle()
    box = at_work.window.trays[Stage.MARK].material

    for instrument in Instrument:
        shown = f"auto: {instrument.label}"
        assert box.fontMetrics().horizontalAdvance(shown) < box.width() - 44, shown
