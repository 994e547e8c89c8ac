"""The Fit stage at the window: real mouse and keys."""

from types import SimpleNamespace

import numpy as np
import pytest
import soundfile
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QInputDialog

from chronotome.session.edits.fitting import TempoSync, bars_in, following_of
from chronotome.session.edits.timing import set_loop
from chronotome.session.fit import BeatSource
from chronotome.session.follow import beats_of
from chronotome.session.model import Follow
from chronotome.session.tighten import targets_of
from chronotome.ui.commands.fit import guide_of
from chronotome.ui.commands.tour import spots_of
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.pulse_lane import TICKS
from sounds import noise_hits, write

CONTROL = Qt.KeyboardModifier.ControlModifier
ALT = Qt.KeyboardModifier.AltModifier
RATE = 48000
DRIFT = np.cumsum(np.concatenate([[0.5], np.linspace(0.66, 0.60, 39)]))


@pytest.fixture
def drifting(person, tmp_path):
    """A take that goes from 91 to 100 bpm, every fourth hit loud, at Fit."""
    frames = [round(moment * RATE) for moment in DRIFT]
    samples = noise_hits(frames, frames[-1] + RATE, rate=RATE, loudness=[0.9, 0.5, 0.6, 0.5] * 10)
    person.window.open([write(tmp_path / "ferry take.wav", samples, rate=RATE)])
    person.settle()
    person.desk.view.show_stage(Stage.FIT)
    person.desk.view.sight.fit()
    person.settle()
    return person


def run(person, name):
    person.window.actions_table.run(name)
    person.settle()


def pulse(person):
    return person.window.timeline.evidence["pulse"]


def x_of_beat(person, beat):
    guide = guide_of(person.desk)
    return float(pulse(person).xs_of(guide.frame_at(np.array([beat])))[0])


def beats(person):
    return beats_of(person.session, person.session.tracks[0].clips[0].take)


def track(person) -> int:
    return person.session.tracks[0].id


def test_beats_are_proposed_and_nothing_follows_by_itself(drifting):
    assert beats(drifting).seconds[:39] == pytest.approx(DRIFT[:39], abs=0.012)
    assert following_of(drifting.session, track(drifting)) is TempoSync.NOBODY
    assert not drifting.session.is_tempo_set
    shown = drifting.window.rail.cards[Stage.FIT]
    drifting.wait(lambda: shown.figures.key.endswith(" bpm"))
    card = shown.figures
    assert "beat one not set" in card.about
    assert "drift ±" in card.about


def test_a_beat_is_dragged_shown_as_set_by_hand_and_freed(drifting):
    lane, before = pulse(drifting), beats(drifting).seconds_at(np.array([8.0]))[0]
    x = x_of_beat(drifting, 8.0)

    drifting.drag(lane, (x, TICKS - 4), (x + 6, TICKS - 4), modifier=ALT)
    moved = beats(drifting)
    pins = drifting.session.recordings[0].fit.pins
    drifting.double_click(lane, (x_of_beat(drifting, 8.0), TICKS - 4))

    per_pixel = drifting.desk.view.sight.viewport.frames_per_pixel / RATE
    assert moved.seconds_at(np.array([8.0]))[0] - before == pytest.approx(6 * per_pixel, abs=per_pixel)
    assert 8.0 in {pin.beat for pin in pins}
    assert 8.0 not in {pin.beat for pin in drifting.session.recordings[0].fit.pins}
    assert drifting.desk.store.history.undo_label == "Reset beat"


def test_escape_leaves_no_trace_of_a_dragged_beat(drifting):
    before, x = drifting.session, x_of_beat(drifting, 8.0)

    drifting.drag(pulse(drifting), (x, TICKS - 4), (x + 9, TICKS - 4), release=False)
    drafted = drifting.session
    drifting.press(Qt.Key.Key_Escape)

    assert drafted is not before
    assert drifting.session is before


def test_a_dragged_bar_is_pulled_to_a_hit_and_later_bars_count_on(drifting):
    x, to = x_of_beat(drifting, 16.0), x_of_beat(drifting, 18.0)

    drifting.drag(pulse(drifting), (x, TICKS - 4), (to + 2, TICKS - 4))

    after = beats(drifting)
    assert after.seconds_at(np.array([16.0, 20.0])) == pytest.approx(DRIFT[[18, 22]], abs=0.012)
    assert after.seconds_at(np.arange(8.0)) == pytest.approx(DRIFT[:8], abs=0.012)
    assert drifting.desk.store.history.undo_label == "Move bar"


def test_a_candidate_is_chosen_with_a_click(drifting):
    lane = pulse(drifting)
    lane.grab()
    box, option = lane._options[0]
    tempo = beats(drifting).tempo

    drifting.click(lane, (box.center().x(), box.center().y()))

    assert beats(drifting).tempo / tempo == pytest.approx(option.beats_per_minute / tempo, rel=0.03)
    assert drifting.session.recordings[0].fit.scale != 1.0


def test_the_tray_takes_a_typed_tempo_and_so_many_bars(drifting):
    tray = drifting.window.trays[Stage.FIT]
    drifting.type_into(tray.tempo, "96,5")
    typed = beats(drifting).tempo
    drifting.type_into(tray.tempo, "five")
    told = drifting.window.status.words.said

    run(drifting, "more-bars")
    more = bars_in(drifting.session, drifting.session.tracks[0].clips[0].take)
    run(drifting, "double-bars")
    doubled = bars_in(drifting.session, drifting.session.tracks[0].clips[0].take)

    assert typed == pytest.approx(96.5)
    assert "is invalid" in told
    assert more == pytest.approx(round(more))
    assert doubled == pytest.approx(2 * more)


def test_beat_one_goes_to_the_selected_hit_and_what_is_before_is_a_pickup(drifting):
    onsets = drifting.session.recordings[0].onsets
    drifting.desk.view.chosen.select(onsets.ids[4])

    drifting.press(Qt.Key.Key_B)

    assert beats(drifting).beat_one == pytest.approx(DRIFT[4], abs=0.003)
    assert beats(drifting).beats[0] < 0
    assert drifting.session.tempo.beat_one == pytest.approx(DRIFT[4], abs=0.003)


def test_a_bar_number_is_given_to_a_hit(drifting, monkeypatch):
    monkeypatch.setattr("chronotome.ui.window.asked.QInputDialog.getInt", lambda *_: (17, True))
    drifting.desk.view.chosen.select(drifting.session.recordings[0].onsets.ids[16])

    drifting.press(Qt.Key.Key_B, Qt.KeyboardModifier.ShiftModifier)

    assert beats(drifting).seconds_at(np.array([64.0]))[0] == pytest.approx(DRIFT[16], abs=0.003)
    assert drifting.desk.store.history.undo_label == "Set bar 17 here"


def test_straightened_and_switched_between_who_follows_whom(drifting):
    drifting.press(Qt.Key.Key_G)
    drifting.settle()
    straight = targets_of(
        drifting.session, drifting.session.tracks[0], drifting.session.tracks[0].clips[0].take
    )
    lands = straight.target
    tray = drifting.window.trays[Stage.FIT]

    tray.who.choose(list(TempoSync).index(TempoSync.GRID))
    drifting.settle()
    bent = targets_of(drifting.session, drifting.session.tracks[0], drifting.session.tracks[0].clips[0].take)

    assert np.diff(lands).std() / RATE < 0.004
    assert (bent.target == bent.played).all()
    assert len(drifting.session.tempo.changes) > 20
    run(drifting, "follow-nobody")
    assert drifting.session.tracks[0].follow is Follow.NOTHING


def test_another_song_tempo_moves_what_follows_the_loop_and_the_playhead(drifting):
    drifting.press(Qt.Key.Key_G)
    drifting.desk.store.apply(lambda s: set_loop(s, 8.0, 16.0), "Loop")
    drifting.settle()
    before = drifting.session.tempo
    drifting.desk.transport.go_to(before.seconds_of(9.5) * RATE)
    tempo = drifting.window.transport.tempo
    tempo.setText("120")
    tempo.editingFinished.emit()
    drifting.settle()

    after = drifting.session.tempo
    heard = drifting.offline(drifting.session.frames)
    hit = round(after.seconds_of(8.0) * RATE)

    assert after.beat_of(drifting.desk.transport.position / RATE) == pytest.approx(9.5, abs=1e-3)
    assert np.abs(heard[hit - 300 : hit - 60]).max() < 0.02 < np.abs(heard[hit : hit + 400]).max()
    assert drifting.session.loop.start == 8.0


def test_the_tempo_changes_while_it_plays_at_the_same_bar(drifting):
    drifting.press(Qt.Key.Key_G)
    drifting.settle()
    player = drifting.window.player
    drifting.desk.transport.go_to(drifting.session.tempo.seconds_of(8.0) * RATE)
    drifting.desk.transport.play()
    player.step(20)
    before = drifting.session.tempo.beat_of(player.state().position / RATE)

    run(drifting, "double")
    after = drifting.session.tempo.beat_of(player.state().position / RATE)
    drifting.desk.transport.stop()

    assert 0 <= after - before < 0.2


def test_taps_while_it_plays_become_its_beats(drifting, monkeypatch):
    moments = iter(np.arange(12) * 0.5)
    clock = SimpleNamespace(monotonic=lambda: next(moments))
    monkeypatch.setattr("chronotome.ui.commands.fit.time", clock)
    drifting.desk.transport.go_to(1.0 * RATE)
    drifting.desk.transport.play()

    for _ in range(6):
        drifting.press(Qt.Key.Key_T)
        drifting.window.player.step(round(0.5 * RATE / 512))
    drifting.desk.transport.stop()

    assert beats(drifting).tempo == pytest.approx(120, abs=1.0)
    assert beats(drifting).beat_one == pytest.approx(1.0, abs=0.05)
    assert "± " in drifting.window.status.words.said
    assert following_of(drifting.session, track(drifting)) is TempoSync.SONG


def test_the_end_of_the_sound_is_dragged_to_a_bar_line(drifting):
    drifting.press(Qt.Key.Key_G)
    drifting.settle()
    wave = drifting.window.timeline.wave
    x = wave.x_of(float(wave.shown.heard_anchors[-1]))
    bar = drifting.session.tempo.seconds_of(4 * 8) * RATE

    drifting.drag(wave, (x, 90), (wave.x_of(bar), 90), modifier=CONTROL)

    assert bars_in(drifting.session, drifting.session.tracks[0].clips[0].take) == pytest.approx(8)
    assert following_of(drifting.session, track(drifting)) is TempoSync.RECORDING
    assert drifting.desk.store.history.undo_label == "Stretch end to bar line"


def test_a_doubtful_bar_is_gone_to_and_mended(drifting):
    run(drifting, "follow-nobody")
    tray = drifting.window.trays[Stage.FIT]
    drifting.desk.view.chosen.choose_beat(20.0)
    run(drifting, "mend-later")
    late = beats(drifting).seconds_at(np.array([20.0]))[0]

    drifting.press(Qt.Key.Key_N)
    chosen = drifting.desk.view.chosen.beat
    drifting.wait(lambda: "jump" in tray.check.text())
    drifting.wait(lambda: drifting.window.rail.cards[Stage.FIT].figures.to_check == 1)

    assert late == pytest.approx(DRIFT[21], abs=0.02)
    assert chosen == 16.0


def test_each_hit_is_a_beat_where_that_is_said(drifting):
    drifting.window.trays[Stage.FIT].reads.choose(1)

    assert drifting.session.recordings[0].fit.reads is BeatSource.ONSETS
    assert beats(drifting).seconds == pytest.approx(DRIFT, abs=0.002)


def test_the_fit_comes_back_with_the_file_in_another_session(drifting, tmp_path):
    run(drifting, "half-time")
    scale = drifting.session.recordings[0].fit.scale
    drifting.desk.store.mark_saved(drifting.desk.store.history.session)
    run(drifting, "new")

    drifting.window.open([tmp_path / "ferry take.wav"])
    drifting.settle()

    assert scale == 0.5
    assert drifting.session.recordings[0].fit.scale == 0.5


def test_removing_the_track_that_leads_leaves_the_song_its_tempo(drifting):
    run(drifting, "lead-grid")
    tempo = drifting.session.tempo

    run(drifting, "remove-track")
    drifting.press(Qt.Key.Key_Z, CONTROL)
    back = following_of(drifting.session, track(drifting))
    drifting.press(Qt.Key.Key_Y, CONTROL)

    assert back is TempoSync.GRID
    assert drifting.session.lead is None
    assert drifting.session.tempo == tempo


def test_an_early_tempo_is_kept_when_beats_are_known_later(person, tmp_path):
    """Saying something about a file that is still being looked at must not be lost."""
    frames = [round(place * 0.5 * RATE) + 2000 for place in range(24)]
    path = write(tmp_path / "late.wav", noise_hits(frames, 13 * RATE, rate=RATE), rate=RATE)
    person.window.open([path])
    person.wait(lambda: bool(person.session.tracks))
    person.window.commands.fit.set_tempo(120.0)
    person.settle()

    assert person.session.recordings[0].fit.tempo == 120.0
    assert person.session.recordings[0].is_analysed
    assert beats(person).tempo == pytest.approx(120.0)


# Click, tour, sections, loop, shelf


def test_a_count_in_is_heard_before_it_plays(drifting):
    drifting.window.trays[Stage.FIT].count_in.choose(1)
    drifting.settle()
    bar = round(4 * 60 / drifting.session.tempo.at(0.0) * RATE)

    heard = drifting.listen((bar + RATE) / RATE)

    beat = bar // 4
    clicks = [np.abs(heard[round(place * beat) : round(place * beat) + 800]).max() for place in range(4)]
    assert min(clicks) > 0.1
    assert np.abs(heard[beat // 2 : beat - 2000]).max() < 0.01
    assert np.abs(heard[bar : bar + RATE]).max() > 0.1


def test_the_tour_plays_a_few_spots_and_ends(drifting):
    drifting.press(Qt.Key.Key_G)
    drifting.settle()
    tour = drifting.window.tour
    spots = spots_of(drifting.session, [])
    starts = []
    drifting.desk.transport.moved.connect(starts.append)
    before = drifting.session.click

    drifting.press(Qt.Key.Key_T, Qt.KeyboardModifier.ShiftModifier)
    was_clicking = drifting.session.click.is_on
    for _ in range(len(spots)):
        drifting.window.player.step(round((spots[0][1] - spots[0][0]) / 512) + 2)
        drifting.desk.transport._on_tick()

    assert was_clicking
    assert not tour.is_running
    assert {round(start) for start, _ in spots} <= {round(frame) for frame in starts}
    assert drifting.session.click == before
    assert len(spots) >= 3


def test_sections_are_named_jumped_to_looped_and_resized(drifting, monkeypatch):
    monkeypatch.setattr("chronotome.ui.window.asked.QInputDialog.getText", lambda *_, text: (text, True))
    drifting.press(Qt.Key.Key_G)
    drifting.settle()
    drifting.desk.transport.go_to(drifting.session.tempo.seconds_of(9.0) * RATE)
    run(drifting, "add-section")
    lane = drifting.window.timeline.sections
    section = drifting.session.sections[0]
    left, right = lane._ends(section)

    drifting.double_click(lane, ((left + right) / 2, 10))
    looped = drifting.session.loop
    end = lane.x_of(drifting.session.tempo.seconds_of(20.0) * RATE)
    drifting.drag(lane, (right, 10), (end, 10))
    drifting.desk.transport.go_to(0)
    run(drifting, "next-section")

    assert (section.name, section.start, section.end) == ("Part A", 8.0, 24.0)
    assert (looped.start, looped.end) == (8.0, 24.0)
    assert drifting.session.sections[0].end == 20.0
    assert drifting.desk.transport.position / RATE == pytest.approx(
        drifting.session.tempo.seconds_of(8.0), abs=1e-3
    )
    assert lane.isVisible()


def test_a_loop_is_pulled_to_attacks_and_becomes_its_own_recording(drifting, tmp_path):
    tempo = drifting.session.tempo
    ends = [tempo.beat_of(DRIFT[4] + 0.05), tempo.beat_of(DRIFT[12] - 0.06)]
    drifting.desk.store.apply(lambda s: set_loop(s, *ends), "Loop")
    loops = drifting.window.commands.loops

    run(drifting, "pull-loop")
    implied = loops.implied()
    loops.fade_ms, loops.drops_rest = 0.0, True
    loops.write(tmp_path / "loop.wav")
    drifting.wait(lambda: [t.name for t in drifting.session.tracks] == ["loop"])
    drifting.settle()

    seconds = DRIFT[12] - DRIFT[4]
    assert implied.seconds == pytest.approx(seconds, abs=0.003)
    assert (implied.bars, implied.beats_per_minute) == (2, pytest.approx(480 / seconds, abs=0.1))
    assert soundfile.info(tmp_path / "loop.wav").duration == pytest.approx(seconds, abs=0.003)
    drifting.press(Qt.Key.Key_Z, CONTROL)
    drifting.press(Qt.Key.Key_Z, CONTROL)
    assert [t.name for t in drifting.session.tracks] == ["ferry take"]


def test_the_shelf_lists_hears_in_time_and_takes_in(drifting, tmp_path):
    folder = tmp_path / "shelf"
    folder.mkdir()
    frames = [round(place * 0.5 * RATE) for place in range(8)]
    loud = [0.9, 0.5, 0.6, 0.5] * 2
    write(folder / "quay 120bpm.wav", noise_hits(frames, 4 * RATE, rate=RATE, loudness=loud), rate=RATE)
    run(drifting, "lead-tempo")
    drifting.press(Qt.Key.Key_Y)
    panel, shelf = drifting.window.shelf, drifting.desk.shelf
    panel.open(folder)
    drifting.wait(lambda: panel.rows.rowCount() == 1 and panel.rows.entries[0].frames > 0)
    words = [panel.rows.data(panel.rows.index(0, column)) for column in range(4)]
    heard = []
    hear = drifting.desk.transport.hear
    drifting.desk.transport.hear = lambda *args, **names: (heard.append((args, names)), hear(*args, **names))
    panel.table.selectRow(0)
    drifting.wait(lambda: bool(heard))

    (region, *_), names = heard[0]
    tempo = drifting.session.tempo.at(0.0)
    assert words == ["quay 120bpm", "120.00", "4.0 s", "48"]
    assert names["loops"] == region.frames == round(8 * 60 / tempo * RATE)
    second = round(2 * 60 / tempo * RATE)
    assert np.abs(region.samples[second : second + 400]).max() > 0.02
    urls = panel.rows.mimeData([panel.rows.index(0, 0)]).urls()
    assert [url.toLocalFile() for url in urls] == [str(folder / "quay 120bpm.wav")]
    panel._take(panel.rows.index(0, 0))
    drifting.settle()
    assert [t.name for t in drifting.session.tracks] == ["ferry take", "quay 120bpm"]
    assert shelf.heard is None


def test_a_tempo_is_set_at_the_playhead_and_taken_away(at_work, monkeypatch):
    table, lane = at_work.window.actions_table, at_work.window.timeline.tempo
    assert "tempo change" in table.missing("tempo-gone")
    at_work.desk.transport.go_to(at_work.session.frame_of(3.9))
    asked = []
    monkeypatch.setattr(QInputDialog, "getDouble", lambda *given: (asked.append(given[2:4]), (96.0, True))[1])
    assert not lane.isVisible()
    at_work.press(Qt.Key.Key_T, Qt.KeyboardModifier.ControlModifier | Qt.KeyboardModifier.ShiftModifier)
    assert asked == [("Bpm from 2.1.1 on:", 120.0)]
    assert [(each.beat, each.beats_per_minute) for each in at_work.session.tempo.changes] == [
        (0, 120),
        (4, 96),
    ]
    assert at_work.desk.store.history.undo_label == "Tempo from 2.1.1"
    assert lane.isVisible()
    at_work.desk.transport.go_to(at_work.session.frame_of(6.0))
    table.run("tempo-gone")
    assert at_work.session.tempo.is_constant
    assert not lane.isVisible()
