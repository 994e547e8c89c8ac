import numpy as np
import pytest
import soundfile
from PySide6.QtCore import Qt

from chronotome.session.checks import checks_of
from chronotome.session.edits.tightening import move_hit
from chronotome.session.edits.timing import set_loop
from chronotome.session.metre import Metre, MetreMap
from chronotome.session.onsets import OnsetDecision
from chronotome.session.tighten import targets_of
from chronotome.ui.state.view_state import Stage
from sounds import noise_hits, write

CONTROL = Qt.KeyboardModifier.ControlModifier


@pytest.fixture
def two_tracks(at_work, tmp_path):
    """A second track below the first."""
    other = write(tmp_path / "room.wav", noise_hits([3000, 9000], 200000, rate=48000), rate=48000)
    at_work.drop(other)
    at_work.settle()
    return at_work


def run(person, name):
    person.window.actions_table.run(name)


def test_next_to_check_goes_round_and_shows_the_place(at_work):
    track, clip = at_work.session.tracks[0], at_work.session.tracks[0].clips[0]
    targets = targets_of(at_work.session, track, clip.take)
    for at, beats in ((4, 0.4), (9, 0.4)):
        beat, onset = float(targets.line_beats[at]) + beats, int(targets.onsets[at])
        at_work.desk.store.apply(lambda s, o=onset, b=beat: move_hit(s, track.id, clip.id, o, b), "Move")
    checks = checks_of(at_work.session, at_work.session.tracks[0])

    seen = []
    for _ in range(len(checks) + 1):
        at_work.press(Qt.Key.Key_N)
        seen.append(at_work.desk.view.chosen.onset)

    assert len(checks) >= 2
    assert seen[0] == seen[-1] == checks[0].onset
    assert set(seen) == {check.onset for check in checks}


def test_a_row_of_the_check_list_goes_there(at_work):
    track, clip = at_work.session.tracks[0], at_work.session.tracks[0].clips[0]
    onset = int(targets_of(at_work.session, track, clip.take).onsets[6])
    at_work.desk.store.apply(lambda s: move_hit(s, track.id, clip.id, onset, 3.4), "Move")
    tray = at_work.window.trays[Stage.TIGHTEN]
    at_work.wait(lambda: bool(tray.checks.shown))

    at_work.click(tray.checks.shown[0], (20, 12))

    assert at_work.desk.view.chosen.onset == tray.checks.shown[0].check.onset
    assert tray.checks.to_check.text().startswith("To check: ")


def test_nothing_to_check_is_said(at_work):
    at_work.press(Qt.Key.Key_N)

    assert at_work.window.status.words.said == "Nothing to check"


def test_tracks_are_locked_unlocked_and_removed_by_command(two_tracks):
    first, second = (track.id for track in two_tracks.session.tracks)
    two_tracks.desk.view.chosen.focus(first)

    run(two_tracks, "lock")
    locked = two_tracks.session.guide_of(second)
    two_tracks.desk.view.show_stage(Stage.REWORK)
    tray = two_tracks.window.trays[Stage.REWORK]
    run(two_tracks, "lock")  # nothing is left to lock with
    still = two_tracks.session.guide_of(second)
    two_tracks.click(tray.unlock, (10, 10))
    unlocked = two_tracks.session.guide_of(second)
    run(two_tracks, "remove-track")

    assert (locked, still, unlocked) == (first, first, second)
    assert not tray.unlock.isVisible()
    assert [track.id for track in two_tracks.session.tracks] == [second]
    assert two_tracks.desk.store.history.undo_label == "Remove stairwell"


def test_a_locked_track_is_moved_through_its_guide(two_tracks):
    first, second = (track.id for track in two_tracks.session.tracks)
    two_tracks.desk.view.chosen.focus(first)
    run(two_tracks, "lock")
    two_tracks.desk.view.chosen.focus(second)
    tray = two_tracks.window.trays[Stage.TIGHTEN]

    two_tracks.drag(tray.strength, (tray.strength.x_of(50), 32), (tray.strength.x_of(80), 32))

    strengths = {track.id: track.tighten.strength for track in two_tracks.session.tracks}
    assert strengths == {first: 0.8, second: 0.0}


def test_the_focus_moves_with_page_keys(two_tracks):
    names = []
    for key in (Qt.Key.Key_PageDown, Qt.Key.Key_PageDown, Qt.Key.Key_PageUp):
        two_tracks.press(key)
        names.append(two_tracks.desk.view.chosen.focused.name)

    assert names == ["room", "stairwell", "room"]


def test_onsets_are_added_kept_and_dropped_at_the_playhead(at_work):
    at_work.press(Qt.Key.Key_1)
    at_work.desk.transport.go_to(5000)
    count = len(at_work.session.recordings[0].onsets)

    at_work.press(Qt.Key.Key_I)
    added = len(at_work.session.recordings[0].onsets)
    at_work.press(Qt.Key.Key_Delete)
    gone = len(at_work.session.recordings[0].onsets)
    at_work.press(Qt.Key.Key_Right)
    found = at_work.desk.view.chosen.onset
    standings = []
    for key in (Qt.Key.Key_Delete, Qt.Key.Key_K):
        at_work.press(key)
        onsets = at_work.session.recordings[0].onsets
        standings.append(onsets.standings[onsets.place_of(found)])

    assert (added, gone) == (count + 1, count)
    assert standings == [OnsetDecision.DROPPED, OnsetDecision.KEPT]


def test_half_and_double_time(at_work):
    run(at_work, "halve")
    half = at_work.session.tempo.at(0.0)
    run(at_work, "double")
    run(at_work, "double")

    assert half == 60
    assert at_work.session.tempo.at(0.0) == 240


def test_return_goes_to_where_it_was_started_then_to_the_loop(at_work):
    transport = at_work.desk.transport
    ruler = at_work.window.timeline.ruler
    session = at_work.session
    first, last = (ruler.x_of(session.tempo.seconds_of(beat) * session.rate) for beat in (1.0, 3.0))
    at_work.drag(ruler, (first + 1, 8), (last - 1, 8))
    transport.go_to(60000)
    transport.play()
    at_work.window.player.step(10)
    transport._on_tick()

    at_work.press(Qt.Key.Key_Home)
    started = transport.position
    transport.stop()
    at_work.press(Qt.Key.Key_Home)

    assert started == 60000
    assert transport.position == pytest.approx(at_work.session.tempo.seconds_of(1.0) * 48000, abs=1)


def test_renaming_and_level_in_the_tray(at_work):
    at_work.press(Qt.Key.Key_4)
    tray = at_work.window.trays[Stage.REWORK]

    at_work.type_into(tray.name, "Buckets")
    tray.level.setFocus()
    at_work.bot.keyClick(tray.level, Qt.Key.Key_Left)

    assert at_work.session.tracks[0].name == "Buckets"
    assert at_work.session.tracks[0].level == -0.5


def test_the_metre_is_chosen_and_counts(at_work):
    box = at_work.window.transport.metre
    at = box.findText("6/8")
    box.setCurrentIndex(at)
    box.activated.emit(at)

    assert at_work.session.metre == MetreMap(Metre(6, 8))
    at_work.desk.transport.go_to(1200 + 3 * 24000)
    assert at_work.window.transport.bar.text() == "2.1.1"


def test_export_asks_where_and_writes_only_the_loop(at_work, tmp_path, monkeypatch):
    at_work.desk.store.apply(lambda s: set_loop(s, 1.0, 3.0), "Loop")
    tray = at_work.window.export_tray
    tray.span.choose(1)
    tray.kind.choose(1)
    monkeypatch.setattr(
        "chronotome.ui.stages.export.QFileDialog.getSaveFileName",
        lambda *_args: (str(tmp_path / "loop"), ""),
    )

    at_work.press(Qt.Key.Key_E, CONTROL)
    at_work.settle()

    facts = soundfile.info(tmp_path / "loop.flac")
    assert (facts.frames, facts.subtype) == (48000, "PCM_24")
    written, _ = soundfile.read(tmp_path / "loop.flac", dtype="float32")
    np.testing.assert_allclose(written, at_work.offline(48000, start=25200), atol=2**-23)


def test_what_is_exported_is_finished_as_the_tray_says(at_work, tmp_path):
    tray, view = at_work.window.export_tray, at_work.desk.view
    at_work.desk.store.apply(lambda s: set_loop(s, 1.0, 5.0), "Loop")
    view.show_stage(Stage.EXPORT)
    tray.kind.choose(0)
    tray.precision.choose(0)
    tray.span.choose(1)
    tray.aim.choose(1)
    at_work.settle()
    assert tray.dither.isEnabled()
    assert tray.closes.isEnabled()
    assert tray.level.value == -1.0
    tray.rate.setCurrentText("44.1 kHz")
    tray.closes.click()
    tray.export(tmp_path / "loop.wav")
    at_work.settle()
    samples, rate = soundfile.read(tmp_path / "loop.wav")
    assert (rate, len(samples)) == (44100, 2 * 44100)
    assert 20 * np.log10(np.abs(samples).max()) == pytest.approx(-1.0, abs=0.01)

    assert not tray.tail.isEnabled()
    tray.closes.click()
    tray.tail.set_value(0.5)
    assert tray.tail.isEnabled()
    tray.export(tmp_path / "rings.wav")
    at_work.settle()
    assert len(soundfile.read(tmp_path / "rings.wav")[0]) == 2.5 * 44100

    tray.kind.choose(3)
    at_work.settle()
    assert not tray.precision.isEnabled()
    assert not tray.dither.isEnabled()
    assert tray.about.text().startswith("limited to 48 kHz")
    tray.kind.choose(0)
    tray.export_stems(tmp_path / "stems")
    at_work.settle()
    (path,) = (tmp_path / "stems").iterdir()
    stem, _ = soundfile.read(path)
    assert len(stem) == 2.5 * 44100
    assert "1 stem" in tray.written.text()


def test_an_export_that_cannot_be_written_is_told_and_nothing_is_lost(at_work, tmp_path):
    at_work.window.export_tray.export(tmp_path / "gone" / "a.wav")

    at_work.wait(lambda: "the folder is missing" in at_work.window.status.words.said)
    assert at_work.window.rail.exported == "nothing yet"
