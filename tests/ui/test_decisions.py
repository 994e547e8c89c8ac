"""Decisions: above the wave, and about hits between two lines."""

import numpy as np
import pytest
from PySide6.QtCore import Qt

from chronotome.session.checks import checks_of
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.fit import Measured
from chronotome.session.grid import Grid
from chronotome.session.model import Follow
from chronotome.session.onsets import onsets_from
from chronotome.session.targets import Reason
from chronotome.session.tighten import targets_of
from chronotome.ui.panels.status_line import room_made
from chronotome.ui.state.figures import counted
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.decision import decision_now
from sounds import noise_hits, write

RATE = 48000


def targets(person):
    session = person.session
    return targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)


def with_measured(person, moments, *, confidence=0.95, is_constant=True):
    """The open recording, as if it had been heard like this."""
    recording = person.session.recordings[0]
    frames = np.rint(np.asarray(moments) * recording.rate).astype(np.int64)
    onsets = onsets_from(frames, np.full(len(frames), 90.0), np.ones(len(frames), np.int64))
    tempo = 60 / float(np.median(np.diff(moments)))
    measured = Measured(tempo, float(moments[0]), confidence, is_constant, beats=tuple(map(float, moments)))
    person.desk.store.amend(lambda s: set_analysis(s, recording.content, onsets, measured))


@pytest.fixture
def between(at_work):
    """A hit that lies between two sixteenths."""
    with_measured(at_work, [0.025, 0.525, 1.025 + 0.056, 1.525, 2.025])
    track = at_work.session.tracks[0].id
    at_work.desk.store.apply(lambda s: set_tighten(s, track, grid=Grid(16), strength=1.0), "Snap")
    at_work.settle()
    return at_work


@pytest.mark.parametrize(
    ("key", "beat"), [(Qt.Key.Key_Q, 2.0), (Qt.Key.Key_E, 2.25), (Qt.Key.Key_W, 2.0 + 0.056 * 2)]
)
def test_a_hit_between_two_lines_is_decided_by_key(between, key, beat):
    between.press(Qt.Key.Key_N)
    onset = between.desk.view.chosen.onset

    between.press(key)

    now = targets(between)
    at = int(np.flatnonzero(now.onsets == onset)[0])
    assert between.session.tempo.beat_of(now.target[at] / RATE) == pytest.approx(beat, abs=1e-3)
    assert now.reasons[at] == Reason.BY_HAND
    assert not checks_of(between.session, between.session.tracks[0]).of(onset)


def test_without_a_hit_between_lines_the_keys_say_what_to_do(at_work):
    before = at_work.session

    at_work.press(Qt.Key.Key_Q)

    assert at_work.session is before
    assert "Q moves it to the earlier line" in at_work.window.status.words.said


def test_the_tray_offers_the_same_and_only_where_it_can(between):
    tray = between.window.trays[Stage.TIGHTEN]
    assert not tray.checks.decisions[0].isEnabled()

    between.press(Qt.Key.Key_N)
    between.settle()
    tray.checks.decisions[2].click()

    assert targets(between).reasons[2] == Reason.BY_HAND


def test_what_is_rarer_folds_away_and_opens(at_work):
    tray = at_work.window.trays[Stage.TIGHTEN]
    assert not tray.catch.isVisible()

    at_work.click(tray.fold, (20, 10))

    assert tray.catch.isVisible()
    assert tray.stroke.value == 40


def test_strokes_and_catch_range_are_set_in_the_tray(at_work):
    tray = at_work.window.trays[Stage.TIGHTEN]

    tray.stroke.settled.emit(25.0)
    tray.catch.settled.emit(50.0)

    settings = at_work.session.tracks[0].tighten
    assert (settings.stroke, settings.catch) == (25.0, 0.5)


def test_a_tempo_that_is_not_sure_says_so(at_work):
    at_work.desk.store.undo()
    at_work.desk.store.undo()
    with_measured(at_work, 0.025 + np.arange(8) * 0.5, confidence=0.41)

    decision = decision_now(at_work.desk)

    assert "41 % sure" in decision.sentence
    assert decision.yes == "Use for song"


def test_a_drifting_take_is_offered_to_be_straightened_once(at_work):
    drifting = 0.025 + np.cumsum(np.concatenate([[0.0], np.linspace(0.60, 0.44, 7)]))
    with_measured(at_work, drifting, is_constant=False)
    at_work.desk.view.show_stage(Stage.FIT)
    at_work.wait(at_work.window.decision.isVisible)

    asked = at_work.window.decision.words.text()
    at_work.press(Qt.Key.Key_Escape)

    assert "drifting" in asked
    assert decision_now(at_work.desk) is None
    assert not at_work.window.decision.isVisible()


def test_in_tighten_a_take_of_another_tempo_is_not_pulled_without_a_word(at_work):
    with_measured(at_work, 0.025 + np.arange(8) * 0.6)
    at_work.wait(at_work.window.decision.isVisible)

    at_work.press(Qt.Key.Key_Return)
    at_work.settle()

    assert decision_now(at_work.desk) is None
    assert np.abs(targets(at_work).drift).max() < 1


def test_messages_are_kept_in_one_list_and_forgotten_together(person):
    for number in range(3):
        person.desk.tasks.error.emit(f"message {number}")

    assert person.window.messages.told == ["message 2", "message 1", "message 0"]
    person.window.messages.forget()
    assert not person.window.messages.told
    assert not person.window.messages.isVisible()


def test_room_is_told_only_where_everything_moved_right(at_work):
    store = at_work.desk.store
    store.apply(lambda s: set_beat_one(set_tempo(s, 121.0), 0.3), "Tempo")

    assert room_made(store.history) == ""
    assert counted(1, "bar") == "1 bar"
    assert counted(2, "bar") == "2 bars"


def test_one_question_asks_for_all_recordings_that_a_new_tempo_leaves_behind(at_work, tmp_path):
    other = write(
        tmp_path / "other.wav",
        noise_hits([2400 + 12000 * n for n in range(16)], 200000, rate=48000),
        rate=48000,
    )
    at_work.window.open([other])
    at_work.settle()
    for track in at_work.session.tracks:
        at_work.desk.store.apply(lambda s, track=track: set_tighten(s, track.id, strength=1.0), "Strength")
    tempo = at_work.session.tempo.at(0.0)
    at_work.desk.store.apply(lambda s: set_tempo(s, 110.0), "Tempo")
    at_work.settle()
    bar = at_work.window.decision
    at_work.wait(lambda: bar.isVisible() and "2 recordings" in bar.words.text())
    assert f"tightened at {tempo:.2f}, but the song is at 110.00" in bar.words.text()

    at_work.press(Qt.Key.Key_Return)
    assert {track.follow for track in at_work.session.tracks} == {Follow.SONG}
    assert all(track.own_tempo is None for track in at_work.session.tracks)
    at_work.window.undo()
    at_work.wait(bar.isVisible)
    at_work.press(Qt.Key.Key_Escape)
    at_work.wait(lambda: not bar.isVisible())
    assert all(track.own_tempo is not None for track in at_work.session.tracks)
