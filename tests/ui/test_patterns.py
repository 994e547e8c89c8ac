"""Kits and patterns at the window: on keys, steps drawn and moved, chance, layers, played in, cut by ear."""

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QKeyEvent
from PySide6.QtWidgets import QApplication

from chronotome.engine.kit_table import Note, NoteKind
from chronotome.session.check import Kind
from chronotome.session.checks import checks_of
from chronotome.session.kits import key_name
from chronotome.ui.dialogs.pads import PadsWindow
from chronotome.ui.state.key_play import SCAN_CODES
from chronotome.ui.state.view_state import RowsBy, Stage
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.step_marks import steps_of

ALT, CONTROL, SHIFT = (
    getattr(Qt.KeyboardModifier, f"{name}Modifier") for name in ("Alt", "Control", "Shift")
)


@pytest.fixture
def on_keys(at_work):
    """In Rework, a kit of the take's hits, and an empty bar on a track of its own."""
    at_work.desk.view.show_stage(Stage.REWORK)
    at_work.press(Qt.Key.Key_U, CONTROL)
    at_work.press(Qt.Key.Key_P, CONTROL | SHIFT)
    at_work.desk.view.sight.fit()
    at_work.settle()
    return at_work


def lane(person):
    return person.window.timeline.evidence["pattern"]


def pattern(person):
    return person.session.patterns[-1]


def label(person):
    return person.desk.store.history.undo_label


def run(person, action):
    person.window.actions_table.run(action)
    person.settle()


def cell(person, sixteenth, row):
    """A point in a cell of the first round."""
    session, clip = person.session, person.desk.view.chosen.clip
    left = lane(person).x_of(session.frame_of(clip.take.beat + sixteenth / 4))
    height = lane(person).row_height(len(session.kits[-1].slices))
    return left + 3, 4 + (row + 0.5) * height


def cells(person):
    """(sixteenth, key) of every step."""
    keys = {each.id: each.key for each in person.session.kits[-1].slices}
    made = pattern(person)
    return [(round(4 * place, 6), keys[piece]) for place, piece in zip(made.places, made.slices, strict=True)]


@pytest.fixture
def drawn(on_keys):
    """Steps at the first and at the ninth sixteenth."""
    person = on_keys
    person.desk.view.set_snap(person.desk.view.snap_grid)
    for sixteenth, row in ((0, 1), (8, 2)):
        person.click(lane(person), cell(person, sixteenth, row))
    person.settle()
    return person


def test_the_clip_as_a_pattern_sounds_as_before_and_the_old_track_is_muted(at_work):
    at_work.desk.view.show_stage(Stage.REWORK)
    frames = at_work.desk.view.sight.extent
    whole = at_work.session
    at_work.desk.store.apply(lambda s: s, "Nothing")
    track = whole.tracks[0].id
    from chronotome.session.edits.tightening import set_tighten

    at_work.desk.store.apply(lambda s: set_tighten(s, track, strength=0.0), "As played")
    before = at_work.offline(frames)
    at_work.press(Qt.Key.Key_P, CONTROL)
    at_work.settle()
    assert at_work.session.tracks[0].is_muted
    assert at_work.desk.view.chosen.focused is at_work.session.tracks[1]
    np.testing.assert_array_equal(at_work.offline(frames), before)
    assert lane(at_work).isVisible()
    assert at_work.window.timeline.evidence["step_shape"].isVisible()
    assert at_work.window.rail.cards[Stage.REWORK].figures.key == f"{len(pattern(at_work))} steps"
    at_work.desk.view.show_stage(Stage.MARK)
    assert at_work.desk.shown.recording.content == whole.recordings[0].content
    at_work.desk.view.show_stage(Stage.REWORK)
    at_work.desk.store.undo()
    assert at_work.session.patterns == ()


def test_steps_are_set_by_click_and_drawn_by_drag(drawn):
    assert cells(drawn) == [(0, 1), (8, 2)]
    assert label(drawn) == "Set 1 step"
    drawn.drag(lane(drawn), cell(drawn, 4, 0), cell(drawn, 7, 0))
    assert cells(drawn)[1:5] == [(4, 0), (5, 0), (6, 0), (7, 0)]
    assert label(drawn) == "Set 4 steps"
    drawn.drag(lane(drawn), cell(drawn, 12, 0), cell(drawn, 13, 0), release=False)
    assert drawn.desk.store.is_drafting
    drawn.press(Qt.Key.Key_Escape)
    assert len(pattern(drawn)) == 6


def test_a_step_is_moved_in_time_and_to_another_slice_and_lengthened(drawn):
    ids = pattern(drawn).ids
    drawn.drag(lane(drawn), cell(drawn, 8, 2), cell(drawn, 10, 4))
    assert (10, 4) in cells(drawn)
    assert drawn.desk.view.chosen.steps == (ids[1],)
    found = steps_of(drawn.session, lane(drawn).shown)
    at = int(np.flatnonzero(found.step == pattern(drawn).ids.index(ids[1]))[0])
    x, y = float(lane(drawn).x_of(found.ends[at])) - 2, cell(drawn, 0, 4)[1]
    end = lane(drawn).x_of(drawn.session.frame_of(drawn.desk.view.chosen.clip.take.beat + 3.5))
    drawn.drag(lane(drawn), (x, y), (end, y))
    assert pattern(drawn).column("lengths")[1] == pytest.approx(1.0, abs=0.07)
    assert label(drawn) == "Length of 1 step"


def test_all_slices_of_a_kit_are_shaped_together_and_keep_what_they_differ_by(drawn):
    rows = drawn.window.trays[Stage.REWORK].pattern
    drawn.click(lane(drawn), cell(drawn, 0, 1))
    rows.slice_sliders["fade_out"][0].settled.emit(60.0)
    count = len(drawn.session.kits[-1].slices)
    slider = rows.kit_sliders["fade_out"]
    slider.settled.emit(40.0)
    fades = sorted(each.fade_out for each in drawn.session.kits[-1].slices)
    assert fades == [40.0] * (count - 1) + [100.0]
    drawn.wait(lambda: slider.value == 40.0)
    slider.settled.emit(-200.0)
    assert {each.fade_out for each in drawn.session.kits[-1].slices} == {0.0}
    drawn.window.actions_table.run("declick")
    assert {(each.fade_in, each.fade_out) for each in drawn.session.kits[-1].slices} == {(1.0, 5.0)}
    before = drawn.session
    drawn.window.actions_table.run("declick")
    assert drawn.session is before


@pytest.mark.parametrize(
    ("keys", "name", "more"),
    [(CONTROL, "loudness", -3.0), (CONTROL | SHIFT, "chances", 0.8), (CONTROL | ALT, "repeats", 1)],
)
def test_values_of_steps_are_dragged_with_keys_held(drawn, keys, name, more):
    x, y = cell(drawn, 0, 1)
    drawn.drag(lane(drawn), (x, y), (x, y + 20), modifier=keys)
    assert pattern(drawn).column(name)[0] == pytest.approx(more)
    drawn.drag(lane(drawn), (x, y), (x, y - 60), modifier=keys)
    expected = {"loudness": 6.0, "chances": 1.0, "repeats": 6}
    assert pattern(drawn).column(name)[0] == pytest.approx(expected[name])


def test_steps_are_erased_by_the_right_button_and_by_delete(drawn):
    point, right = QPoint(*map(round, cell(drawn, 0, 1))), Qt.MouseButton.RightButton
    drawn.bot.mousePress(lane(drawn), right, pos=point)
    drawn.bot.mouseRelease(lane(drawn), right, pos=point)
    menu = QApplication.activePopupWidget()
    assert "Move steps up" in {action.text().replace("&", "") for action in menu.actions()}
    menu.close()
    assert cells(drawn) == [(0, 1), (8, 2)]
    drawn.bot.mousePress(lane(drawn), right, pos=point)
    for by in (2, 9):
        drawn.move(lane(drawn), point + QPoint(by, 0), Qt.KeyboardModifier.NoModifier)
    drawn.bot.mouseRelease(lane(drawn), right, pos=point + QPoint(9, 0))
    assert cells(drawn) == [(8, 2)]
    drawn.click(lane(drawn), cell(drawn, 8, 2))
    drawn.press(Qt.Key.Key_Delete)
    assert cells(drawn) == []
    drawn.desk.store.undo()
    assert cells(drawn) == [(8, 2)]


def test_keys_copy_paste_duplicate_and_step_through(drawn):
    drawn.click(lane(drawn), cell(drawn, 0, 1))
    drawn.press(Qt.Key.Key_D, CONTROL)
    assert (1, 1) in cells(drawn)
    drawn.press(Qt.Key.Key_C, CONTROL)
    drawn.desk.transport.go_to(drawn.session.frame_of(drawn.desk.view.chosen.clip.take.beat + 3.0))
    drawn.press(Qt.Key.Key_V, CONTROL)
    assert (12, 1) in cells(drawn)
    drawn.press(Qt.Key.Key_Right)
    assert drawn.desk.view.chosen.steps == pattern(drawn).ids[:1]
    run(drawn, "step-down")
    assert (0, 2) in cells(drawn)
    run(drawn, "step-here")
    assert (12, 2) in cells(drawn)


def test_values_are_drawn_under_the_pattern_in_any_round(drawn):
    run(drawn, "rounds-more")
    under = drawn.window.timeline.evidence["step_shape"]
    drawn.desk.view.chosen.choose_hits(drawn.desk.view.chosen.place, ())
    found = steps_of(drawn.session, under.shown)
    xs = under.xs_of(found.starts)[found.round == 1]
    middle = under.height() / 2
    drawn.drag(under, (xs[0] - 3, middle), (xs[1] + 3, middle))
    loud = pattern(drawn).column("loudness")
    assert loud[0] == loud[1] == pytest.approx(-6.0, abs=0.5)
    assert label(drawn) == "Loudness of 2 steps"
    drawn.drag(under, (xs[0], middle), (xs[0], middle - 20), release=False)
    drawn.press(Qt.Key.Key_Z, CONTROL)
    assert pattern(drawn).column("loudness")[0] == loud[0]


def test_the_tray_sets_chance_rounds_and_kit(drawn):
    rows = drawn.window.trays[Stage.REWORK].pattern
    drawn.click(lane(drawn), cell(drawn, 0, 1))
    slider, _ = rows.sliders["chances"]
    slider.settled.emit(40.0)
    assert pattern(drawn).column("chances")[0] == pytest.approx(0.4)
    rows.every.setCurrentIndex(1)
    rows.every.activated.emit(1)
    assert pattern(drawn).column("everys")[0] == 2
    rows.rounds.activated.emit(rows._counts().index(4.0))
    assert drawn.desk.view.chosen.clip.take.playing.beats == 16.0
    seed = pattern(drawn).seed
    run(drawn, "chance-again")
    assert pattern(drawn).seed != seed
    run(drawn, "chance-keep")
    assert pattern(drawn).chances == ()
    rows.pitch.settled.emit(5.0)
    rows.by_tape.choose(1)
    assert drawn.session.kits[-1].semitones == 5.0
    assert not drawn.session.kits[-1].by_tape
    drawn.click(lane(drawn), cell(drawn, 8, 2))
    rows.choke.activated.emit(2)
    assert drawn.session.kits[-1].on_key(2).choke == 2


def test_the_slice_of_a_step_is_shaped_for_all_that_play_it_and_changes_keys(drawn):
    person, rows = drawn, drawn.window.trays[Stage.REWORK].pattern
    first, _ = pattern(person).slices
    person.click(lane(person), cell(person, 0, 1))
    person.settle()
    kit = person.session.kits[-1]
    key = kit.slice_of(first).key
    other = kit.slices[5]

    for name, value in (("fade_in", 20.0), ("tilt", -6.0), ("pan", 50.0)):
        rows.slice_sliders[name][0].settled.emit(value)
    person.press(Qt.Key.Key_R)
    person.settle()
    made = person.session.kits[-1].slice_of(first)
    assert (made.fade_in, made.tilt, made.pan, made.is_reversed) == (20.0, -6.0, 0.5, True)
    assert label(person) == "Reverse slices"

    rows.key.activated.emit(other.key)
    person.settle()
    now = person.session.kits[-1]
    assert (now.slice_of(first).key, now.slice_of(other.id).key) == (other.key, key)
    person.wait(lambda: f"Slice {key_name(other.key)}: " in rows.slice_fold.text())
    person.press(Qt.Key.Key_R)
    assert not person.session.kits[-1].slice_of(first).is_reversed


def test_what_only_recordings_can_is_refused_for_patterns_and_says_so(drawn):
    person, view, said = drawn, drawn.desk.view, []
    person.desk.tasks.told.connect(said.append)
    view.chosen.choose_hits(view.chosen.place, ())
    before = person.session
    for action in ("apart", "apart-bars", "reverse-clip", "silence"):
        said.clear()
        run(person, action)
        assert person.session is before
        assert "pattern" in said[-1]


def test_rows_are_ordered_by_band_and_by_pitch(drawn):
    kit = drawn.session.kits[-1]
    for by in RowsBy:
        drawn.click(lane(drawn), (40, 46 + 20 * by + 8))
        assert drawn.desk.view.rows_by is by
        assert sorted(lane(drawn).order(kit).tolist()) == list(range(len(kit.slices)))


def test_variations_and_layers_are_of_their_own(drawn):
    old = pattern(drawn)
    run(drawn, "pattern-vary")
    assert pattern(drawn).id != old.id
    assert drawn.desk.view.chosen.clip.take.playing.pattern == pattern(drawn).id
    run(drawn, "layer-up")
    layer = next(track for track in drawn.session.tracks if track.layer is not None)
    assert layer.clips[0].take.playing.semitones == 12.0
    drawn.desk.view.chosen.focus(layer.id)
    run(drawn, "layer-free")
    assert all(track.layer is None for track in drawn.session.tracks)


def test_a_pattern_is_written_and_opened_from_its_folder(drawn, tmp_path):
    commands = drawn.window.commands.patterns
    drawn.click(lane(drawn), cell(drawn, 0, 1))
    commands.write(tmp_path / "mine")
    drawn.settle()
    count, steps = len(drawn.session.patterns), cells(drawn)
    commands.read(tmp_path / "mine")
    drawn.settle()
    assert len(drawn.session.patterns) == count + 1
    assert cells(drawn) == steps
    drawn.settle()
    assert drawn.offline(96000, start=0).any()
    commands.read(tmp_path)
    drawn.settle()
    assert len(drawn.session.patterns) == count + 1


def key_event(kind, code, *, text="x"):
    return QKeyEvent(kind, Qt.Key.Key_unknown, Qt.KeyboardModifier.NoModifier, code, 0, 0, text)


def test_letters_play_by_their_place_and_escape_gives_them_back(drawn):
    person, app = drawn, QApplication.instance()
    person.press(Qt.Key.Key_F8)
    person.wait(lambda: person.desk.keys.wait(0.01) and person.desk.keys.ready > 8)
    assert person.window.transport._buttons["play-keys"].isChecked()
    before, stage = person.session, person.desk.view.stage
    played = []
    person.desk.keys.played.connect(played.extend)
    for kind in (QKeyEvent.Type.KeyPress, QKeyEvent.Type.KeyRelease):
        app.sendEvent(person.window, key_event(kind, SCAN_CODES[1]))
    person.press(Qt.Key.Key_Q)
    for _ in range(60):
        person.window.player.step(1)
    person.wait(lambda: len(played) == 4)
    assert [(note.kind, note.key) for note in played] == [(1, 1), (2, 1), (1, 0), (2, 0)]
    assert person.session is before
    person.press(Qt.Key.Key_Escape)
    assert not person.desk.keys.is_on
    person.press(Qt.Key.Key_3)
    assert person.desk.view.stage is not stage


def test_what_is_played_in_is_kept_round_by_round_and_tightened(drawn):
    person, desk = drawn, drawn.desk
    run(person, "play-in")
    assert desk.playing_in.is_on
    take = desk.view.chosen.clip.take
    beats = [0.1, 1.02, 2.27]

    def play(key, beat, kind=NoteKind.START, velocity=0.5):
        frame = round(person.session.frame_of(take.beat + beat))
        desk.keys.played.emit([Note(kind, key, velocity, 0, frame)])

    count = len(pattern(person))
    for beat in beats:
        play(3, beat)
    assert label(person) == "Record pattern, pass 1"
    assert len(pattern(person)) == count + 3
    made = pattern(person)
    at = [made.places.index(pytest.approx(beat, abs=1e-4)) for beat in beats]
    np.testing.assert_allclose(made.column("loudness")[at], 20 * np.log10(0.5), atol=0.01)
    desk.transport.moved.emit(person.session.frame_of(take.beat + 3.9))
    desk.transport.moved.emit(person.session.frame_of(take.beat))
    play(4, 0.5)
    assert label(person) == "Record pattern, pass 2"
    person.press(Qt.Key.Key_Backspace)
    assert len(pattern(person)) == count + 3
    for beat in (0.75, 3.07, 3.2):
        play(4, beat)
    assert len(pattern(person)) == count + 6
    desk.transport.stop()
    assert not desk.playing_in.is_on
    person.press(Qt.Key.Key_Escape)
    desk.view.show_stage(Stage.TIGHTEN)
    person.settle()
    played = desk.shown.targets
    assert np.abs(played.drift).max() > 5.0
    person.window.trays[Stage.TIGHTEN].strength.settled.emit(100.0)
    person.settle()
    assert desk.shown.targets.spread_now < 1.0
    kinds = checks_of(person.session, desk.shown.track, desk.shown.take).kinds
    assert set(kinds) <= {Kind.BETWEEN, Kind.FAR, Kind.FLAM}  # steps are neither stretched nor strays
    assert not person.window.trays[Stage.TIGHTEN].moving.isVisible()
    assert pattern(person).places[made.places.index(made.places[at[0]])] == made.places[at[0]]


def test_held_slices_are_as_long_as_their_key_was(drawn):
    person, desk = drawn, drawn.desk
    desk.view.chosen.choose_hits(desk.view.chosen.place, pattern(person).ids[:1])
    desk_kit = person.session.kits[-1].id
    from chronotome.session.edits.kits import set_slice

    desk.store.apply(lambda s: set_slice(s, desk_kit, {2}, is_held=True), "Held")
    run(person, "play-in")
    take = desk.view.chosen.clip.take
    for kind, beat in ((NoteKind.START, 1.0), (NoteKind.RELEASE, 1.4)):
        frame = round(person.session.frame_of(take.beat + beat))
        desk.keys.played.emit([Note(kind, 1, 1.0, 0, frame)])
    at = pattern(person).places.index(pytest.approx(1.0, abs=1e-4))
    assert pattern(person).column("lengths")[at] == pytest.approx(0.4, abs=1e-3)


def test_by_ear_a_free_key_cuts_where_it_is_heard_and_a_taken_one_goes_there(at_work):
    desk = at_work.desk
    desk.view.show_stage(Stage.REWORK)
    run(at_work, "by-ear")
    onset = at_work.session.recordings[0].onsets.frames[3]
    heard = desk.shown.frame_shown(onset) + desk.preferences.reaction_seconds * at_work.session.rate
    desk.keys.played.emit([Note(NoteKind.START, 5, 1.0, 0, round(heard) + 700)])
    piece = at_work.session.kits[0].on_key(5)
    assert piece.start == onset
    desk.keys.played.emit([Note(NoteKind.START, 6, 1.0, 0, round(heard) + 60000)])
    assert at_work.session.kits[0].on_key(5).end == at_work.session.kits[0].on_key(6).start
    desk.keys.played.emit([Note(NoteKind.START, 5, 1.0, 0, 0)])
    assert desk.transport.position == pytest.approx(desk.shown.frame_shown(onset), abs=1)


def test_pads_play_louder_below_and_light_up(drawn):
    run(drawn, "pads")
    pads = next(each for each in QApplication.topLevelWidgets() if isinstance(each, PadsWindow))
    pressed = []
    drawn.desk.keys.press = lambda key, velocity, **_: pressed.append((key, round(velocity, 2)))
    box = pads._box(11)
    for share in (0.1, 0.9):
        drawn.click(pads, (box.center().x(), box.top() + share * box.height()))
    assert [key for key, _ in pressed] == [11, 11]
    assert pressed[0][1] < pressed[1][1]
    assert pads.key_at(pads._box(0).topLeft() - QPoint(3, 3)) is None
    pads.close()


def test_lanes_of_a_pattern_scroll_and_show_what_is_under_the_pointer(drawn):
    drawn.move(lane(drawn), QPoint(*map(round, cell(drawn, 0, 1))), Qt.KeyboardModifier.NoModifier)
    assert lane(drawn).cursor().shape() is Qt.CursorShape.OpenHandCursor
    drawn.click(lane(drawn), (HEADER - 8, cell(drawn, 0, 2)[1]))
    assert drawn.desk.view.chosen.steps == pattern(drawn).ids[1:2]


def test_of_several_chosen_steps_the_one_clicked_last_is_the_last_and_a_long_one_says_where_sound_ends(drawn):
    person, kits = drawn, drawn.window.commands.patterns.kits
    made = pattern(person)
    low, high = sorted(made.ids, key=lambda each: made.slices[made.ids.index(each)])[:: len(made) - 1]
    place = person.desk.view.chosen.place
    person.desk.view.chosen.choose_hits(place, (high, low))
    assert kits.last_piece == made.slices[made.ids.index(low)]
    assert kits.last_piece < made.slices[made.ids.index(high)]

    drag = lane(person)._value_drag(made, (low,), low, "lengths", 0.25)
    drag.to(drag.most - 0.1)
    assert "is over" not in drag.words
    drag.to(min(64.0, drag.most + 1.0))
    assert "the slice ends after" in drag.words
    drag.cancel()
