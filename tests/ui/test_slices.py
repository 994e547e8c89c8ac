"""Hits at the window: taken apart, chosen, dragged, shaped, rolled, scattered, put on another rhythm."""

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtWidgets import QApplication, QInputDialog

from chronotome.render.mix import Side
from chronotome.session.edits.hits import beats_of
from chronotome.session.edits.shaping import values_of
from chronotome.session.runs import roll_edges
from chronotome.session.slices import Lengthen, Roll
from chronotome.ui.dialogs.alike import AlikeDialog
from chronotome.ui.dialogs.rhythm import RhythmDialog
from chronotome.ui.stages.roll_rows import STEPS
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.track_wave import track_columns
from sounds import noise_hits, write

ALT, CONTROL, SHIFT = (
    getattr(Qt.KeyboardModifier, f"{name}Modifier") for name in ("Alt", "Control", "Shift")
)


@pytest.fixture
def apart(at_work):
    """In Rework, the first bars of a take that was taken apart by a key."""
    at_work.desk.view.show_stage(Stage.REWORK)
    at_work.press(Qt.Key.Key_H, CONTROL)
    at_work.desk.view.sight.fit()
    at_work.desk.view.sight.zoom(3.0, 60)
    at_work.settle()
    return at_work


def slices(person):
    return person.session.tracks[0].clips[0].take.slices


def wave(person):
    return person.window.timeline.wave


def spans(person):
    sliced = wave(person).clips[0].plan.sliced
    return sliced.starts, sliced.ends


def x_of(person, number, share=0.4):
    starts, ends = spans(person)
    return float(wave(person).x_of(starts[number] + share * (ends[number] - starts[number])))


def foot(person):
    return wave(person).height() - 10


def label(person):
    return person.desk.store.history.undo_label


def press(person, action):
    person.window.actions_table.run(action)
    person.settle()


def test_a_clip_is_taken_apart_sounds_as_before_and_is_whole_again_by_keys(at_work):
    at_work.desk.view.show_stage(Stage.REWORK)
    before, session = at_work.offline(60000), at_work.session

    at_work.press(Qt.Key.Key_H, CONTROL)
    at_work.settle()

    assert len(slices(at_work)) > 8
    assert label(at_work) == "Slice clip at onsets"
    np.testing.assert_array_equal(at_work.offline(60000), before)
    assert at_work.window.timeline.evidence["shape"].isVisible()
    at_work.press(Qt.Key.Key_H, CONTROL | SHIFT)
    assert at_work.session == session
    assert not at_work.window.timeline.evidence["shape"].isVisible()


def test_hits_are_chosen_by_click_shift_sweep_and_arrow(apart):
    ids, view = slices(apart).ids, apart.desk.view

    apart.click(wave(apart), (x_of(apart, 2), 80))
    assert view.chosen.hits == (ids[2],)
    apart.bot.mouseClick(wave(apart), Qt.MouseButton.LeftButton, SHIFT, QPoint(round(x_of(apart, 4)), 80))
    assert view.chosen.hits == (ids[2], ids[4])
    apart.press(Qt.Key.Key_Right)
    assert view.chosen.hits == (ids[5],)
    apart.drag(wave(apart), (x_of(apart, 3, 0.01) - 4, foot(apart)), (x_of(apart, 6, 0.01) - 4, foot(apart)))
    assert view.chosen.hits == ids[3:6]
    assert label(apart) == "Slice clip at onsets"


def open_dialogs():
    every = QApplication.topLevelWidgets()
    return [each for each in every if isinstance(each, AlikeDialog) and each.isVisible()]


def test_hits_of_a_band_every_nth_the_loud_and_the_others_are_chosen(apart, monkeypatch):
    ids, view = slices(apart).ids, apart.desk.view

    apart.click(wave(apart), (x_of(apart, 1), 80))
    press(apart, "choose-others")
    assert view.chosen.hits == ids[2:]
    monkeypatch.setattr(QInputDialog, "getInt", lambda *_, **__: (3, True))
    apart.click(wave(apart), (x_of(apart, 1), 80))
    press(apart, "choose-every")
    assert view.chosen.hits == ids[1::3]
    monkeypatch.setattr(QInputDialog, "getDouble", lambda *_, **__: (0.0, True))
    press(apart, "choose-louder")
    assert len(view.chosen.hits) == 1
    for band in ("low", "mid", "high"):
        press(apart, f"choose-{band}")
    apart.click(wave(apart), (x_of(apart, 1), 80))
    before = view.chosen.hits
    for is_taken in (False, True):
        press(apart, "choose-alike")
        apart.wait(lambda: bool(open_dialogs()))
        (dialog,) = open_dialogs()
        assert f"{len(view.chosen.hits)} hit" in dialog.told.text()
        assert before[0] in view.chosen.hits
        dialog._found = lambda within: ids[: round(20 * within)]
        for how, count in ((90, 2), (60, 8)):
            dialog.how.set_value(how)
            dialog.how.slid.emit(how)
            assert view.chosen.hits == ids[:count]
            assert f"{count} hits" in dialog.told.text()
        (dialog.accept if is_taken else dialog.reject)()
        assert is_taken or view.chosen.hits == before
        apart.bot.wait(1)
    assert view.chosen.hits == ids[:8]


def test_a_hit_is_dragged_to_a_line_copied_with_control_and_escape_leaves_no_trace(apart):
    lane, session = wave(apart), apart.session
    take = session.tracks[0].clips[0].take
    before, hit = beats_of(session, take), slices(apart).ids[2]
    line = float(lane.x_of(session.frame_of(np.floor(before[2]) + 1.5)))
    grip = x_of(apart, 2) - float(lane.x_of(spans(apart)[0][2]))

    apart.drag(lane, (x_of(apart, 2), 80), (line + grip, 80), release=False)
    apart.press(Qt.Key.Key_Escape)
    assert apart.session == session
    apart.drag(lane, (x_of(apart, 2), 80), (line + grip, 80))

    at = slices(apart).at([hit])[0]
    after = beats_of(apart.session, apart.session.tracks[0].clips[0].take)
    assert after[at] == pytest.approx(np.floor(before[2]) + 1.5, abs=1e-3)
    assert label(apart) == "Move hit"
    assert apart.desk.view.chosen.hits == (hit,)
    count = len(slices(apart))
    apart.drag(lane, (x_of(apart, at), 80), (x_of(apart, at) + 60, 80), modifier=CONTROL)
    assert len(slices(apart)) == count + 1
    assert label(apart) == "Copy hit"
    apart.press(Qt.Key.Key_Z, CONTROL)
    apart.press(Qt.Key.Key_Z, CONTROL)
    assert apart.session == session


@pytest.mark.parametrize("kind", ["move", "copy", "end", "shape"])
def test_undoing_the_clip_s_taking_apart_in_the_middle_of_a_drag_harms_nothing(apart, kind):
    lane = apart.window.timeline.evidence["shape"] if kind == "shape" else wave(apart)
    _, ends = spans(apart)
    x = (
        float(wave(apart).x_of(ends[2])) - 1
        if kind == "end"
        else x_of(apart, 2, 0.02 if kind == "shape" else 0.4)
    )
    modifier = CONTROL if kind == "copy" else None

    apart.drag(lane, (x, 80), (x + 70, 60), modifier=modifier, release=False)
    apart.desk.store.undo()
    apart.move(lane, QPoint(round(x) + 90, 70), modifier or Qt.KeyboardModifier.NoModifier)
    apart.bot.mouseRelease(lane, Qt.MouseButton.LeftButton, pos=QPoint(round(x) + 90, 70))
    apart.settle()

    assert slices(apart) is None
    assert apart.desk.store.history.undo_label != "Move hit"


def test_the_end_of_a_hit_is_dragged(apart):
    number = 2
    _, ends = spans(apart)
    edge, middle = float(wave(apart).x_of(ends[number])), x_of(apart, number)

    apart.drag(wave(apart), (edge - 2, 80), (middle, 80), modifier=None)

    assert label(apart) == "Set hit length"
    _starts, ends = spans(apart)
    assert float(wave(apart).x_of(ends[number])) < edge - 10
    assert 0 < slices(apart).spans[number] < slices(apart).ends[number] - slices(apart).starts[number]


def test_keys_delete_duplicate_cut_paste_and_move_hits_by_lines(apart):
    ids, count = slices(apart).ids, len(slices(apart))
    apart.click(wave(apart), (x_of(apart, 3), 80))

    apart.press(Qt.Key.Key_D, CONTROL)
    assert len(slices(apart)) == count + 1
    apart.press(Qt.Key.Key_Delete)
    assert len(slices(apart)) == count
    assert label(apart) == "Delete 1 hit"
    apart.click(wave(apart), (x_of(apart, 3), 80))
    before = beats_of(apart.session, apart.session.tracks[0].clips[0].take)
    apart.press(Qt.Key.Key_Down, ALT)
    after = beats_of(apart.session, apart.session.tracks[0].clips[0].take)
    assert after[slices(apart).at([ids[3]])[0]] > before[3]
    apart.press(Qt.Key.Key_X, CONTROL)
    assert len(slices(apart)) == count - 1
    apart.desk.transport.go_to(30000)
    apart.press(Qt.Key.Key_V, CONTROL)
    assert len(slices(apart)) == count
    assert len(apart.desk.view.chosen.hits) == 1
    at = slices(apart).at(apart.desk.view.chosen.hits)[0]
    laid = beats_of(apart.session, apart.session.tracks[0].clips[0].take)[at]
    assert laid == pytest.approx(apart.session.beat_of(30000), abs=1e-4)


def test_hits_go_to_another_track_by_cut_and_paste(apart, tmp_path):
    write(tmp_path / "other.wav", noise_hits([3000, 60000], 200000, rate=48000), rate=48000)
    apart.window.open([tmp_path / "other.wav"])
    apart.settle()
    apart.desk.view.chosen.focus(apart.session.tracks[0].id)
    apart.click(wave(apart), (x_of(apart, 2), 80))
    apart.press(Qt.Key.Key_C, CONTROL)
    apart.desk.view.chosen.focus(apart.session.tracks[1].id)
    apart.desk.transport.go_to(24000)

    apart.press(Qt.Key.Key_V, CONTROL)
    apart.settle()

    made = apart.session.tracks[1].clips[-1]
    assert made.recording == apart.session.tracks[0].clips[0].recording
    assert len(made.take.slices) == 1
    assert np.abs(apart.offline(1000, start=24000)).max() > 0.01


def test_shape_is_drawn_free_in_a_line_and_as_a_curve_and_chosen_hits_move_together(apart):
    lane, view = apart.window.timeline.evidence["shape"], apart.desk.view
    starts, _ = spans(apart)
    xs = [float(lane.x_of(start)) for start in starts[3:8]]
    high, low = 0.25 * lane.height(), 0.75 * lane.height()

    def values():
        return values_of(apart.session, apart.session.tracks[0].clips[0].take, view.shape)[3:8]

    apart.drag(lane, (xs[0] - 2, high), (xs[4] + 2, low), modifier=SHIFT)
    assert (np.diff(values()) < 0).all()
    assert label(apart) == "Loudness of 5 hits"
    apart.drag(lane, (xs[0] - 2, low), (xs[4] + 2, high), modifier=CONTROL)
    assert values()[2] > max(values()[0], values()[4]) + 1
    view.chosen.choose_hits(view.chosen.place, slices(apart).ids[4:6])
    before = values()
    scale = lane.scale
    y = float(lane.y_of(scale.share_of(before[1:2]))[0])
    apart.drag(lane, (xs[1], y), (xs[1], y + 20))
    moved = values() - before
    assert moved[1] == pytest.approx(moved[2])
    assert moved[1] < 0
    assert moved[0] == moved[3] == 0


def test_the_value_under_the_pointer_is_typed_and_nudged_by_keys(apart):
    lane, view = apart.window.timeline.evidence["shape"], apart.desk.view
    starts, _ = spans(apart)
    apart.click(lane, tuple(lane._box(2).center().toPoint().toTuple()))
    assert view.shape == "pitch"
    x = float(lane.x_of(starts[3]))

    apart.double_click(lane, (x, lane.height() / 2))
    apart.bot.keyClicks(QApplication.focusWidget(), "7")
    apart.press_in(QApplication.focusWidget(), Qt.Key.Key_Return)
    assert slices(apart).semitones[3] == 7.0
    apart.click(wave(apart), (x_of(apart, 3), 80))
    apart.press(Qt.Key.Key_Up)
    assert slices(apart).semitones[3] == 8.0


def test_the_cutoff_of_hits_is_drawn_by_octaves_slid_typed_and_stepped_by_keys(apart):
    lane, view, rows = (
        apart.window.timeline.evidence["shape"],
        apart.desk.view,
        apart.window.trays[Stage.REWORK].hits,
    )
    view.show_shape("cutoff")
    starts, _ = spans(apart)
    x = float(lane.x_of(starts[3]))
    apart.drag(lane, (x - 1, lane.height() / 2), (x + 1, lane.height() / 2))
    assert slices(apart).cutoffs[3] == pytest.approx((60 * 20_000) ** 0.5, rel=0.05)
    assert set(slices(apart).cutoffs[:3]) == {20_000.0}
    apart.double_click(lane, (x, lane.height() / 2))
    apart.bot.keyClicks(QApplication.focusWidget(), "800")
    apart.press_in(QApplication.focusWidget(), Qt.Key.Key_Return)
    assert slices(apart).cutoffs[3] == 800.0
    view.chosen.choose_hits(view.chosen.place, slices(apart).ids[3:4])
    press(apart, "cutoff-more")
    assert slices(apart).cutoffs[3] == pytest.approx(800 * 2 ** (1 / 6), abs=0.01)
    slider = rows.sliders["cutoff"][0]
    assert slider.words == "898 Hz"
    slider.turn(0.5)
    slider.settled.emit(slider.value)
    assert slices(apart).cutoffs[3] == 1100.0
    apart.press_in(slider, Qt.Key.Key_Right)
    assert slices(apart).cutoffs[3] == 1200.0
    view.chosen.choose_hits(view.chosen.place, slices(apart).ids[2:4])
    press(apart, "shape-usual")
    assert slices(apart).cutoffs == ()


def test_a_reversed_louder_hit_is_drawn_turned_and_taller(apart):
    apart.click(wave(apart), (x_of(apart, 2), 80))
    starts, ends = spans(apart)
    edges = np.linspace(starts[2], ends[2], 80)

    def heights():
        sources = apart.desk.recordings.pool.sources
        lows, highs = track_columns(wave(apart).clips, sources, edges, apart.desk.bands)
        return highs - lows

    before = heights()
    apart.press(Qt.Key.Key_R)
    apart.settle()
    turned = heights()
    assert before.argmax() < 20
    assert turned.argmax() > 60
    apart.press(Qt.Key.Key_Up)
    assert heights().max() > 1.05 * turned.max()


def test_rolls_and_scatters_are_set_in_the_tray_and_taken_back(apart):
    tray = apart.window.trays[Stage.REWORK]
    apart.click(wave(apart), (x_of(apart, 2), 80))

    tray.roll.count.setCurrentIndex(3)
    tray.roll.count.activated.emit(3)
    assert slices(apart).rolls[slices(apart).rolled[2] - 1] == Roll(4)
    press(apart, "roll-hits")
    assert not any(slices(apart).rolled)
    press(apart, "choose-others")
    tray.scatter.amount.settled.emit(25.0)
    apart.wait(lambda: tray.scatter.histogram.counts.sum() == len(apart.desk.view.chosen.hits))
    drawn = tray.scatter.histogram.counts.copy()
    press(apart, "scatter")
    apart.wait(lambda: not np.array_equal(tray.scatter.histogram.counts, drawn))
    press(apart, "keep-scatter")
    assert any(slices(apart).loudness)
    assert not any(slices(apart).scattered)


def test_a_slider_moves_all_chosen_hits_by_as_much(apart):
    tray, view = apart.window.trays[Stage.REWORK], apart.desk.view
    view.chosen.choose_hits(view.chosen.place, slices(apart).ids[1:3])
    press(apart, "hit-loudness-more")
    view.chosen.choose_hits(view.chosen.place, slices(apart).ids[2:4])

    tray.hits.sliders["loudness"][0].settled.emit(-6.0)

    assert slices(apart).loudness[1:4] == (1.0, -5.0, -6.0)
    assert slices(apart).lengthened == ()
    view.lengthens = Lengthen.RING


def test_in_mark_what_was_taken_apart_is_whole_and_its_marks_are_the_recording_s(apart):
    number, ids = 3, slices(apart).ids
    apart.desk.view.chosen.choose_hits(apart.desk.view.chosen.place, [ids[number]])
    press(apart, "turn-order")
    press(apart, "clip-later")
    frame = apart.session.recordings[0].onsets.frames[4]

    apart.desk.view.show_stage(Stage.MARK)
    apart.settle()
    shown = apart.desk.shown

    assert shown.take.slices is None
    assert shown.recording.onsets.frames == apart.session.recordings[0].onsets.frames
    apart.desk.view.chosen.select(apart.session.recordings[0].onsets.ids[4])
    apart.press(Qt.Key.Key_Period)
    assert apart.session.recordings[0].onsets.frames[4] == frame + 1
    assert slices(apart) is not None


def test_the_rhythm_of_another_clip_and_the_bands_of_two(apart, tmp_path, monkeypatch):
    write(tmp_path / "other.wav", noise_hits([3000, 60000, 90000], 200000, rate=48000), rate=48000)
    apart.window.open([tmp_path / "other.wav"])
    apart.settle()
    apart.desk.view.chosen.focus(apart.session.tracks[0].id)
    apart.desk.view.chosen.choose_hits(apart.desk.view.chosen.place, slices(apart).ids[1:3])
    monkeypatch.setattr(QInputDialog, "getItem", lambda *args, **_: (args[3][0], True))
    monkeypatch.setattr(QInputDialog, "getDouble", lambda *_, **__: (500.0, True))
    session, at = apart.session, [1, 2]
    own = beats_of(session, session.tracks[0].clips[0].take)[at]

    def choose(dialog):
        dialog.strength.settled.emit(100.0)
        seen.append(beats_of(apart.session, apart.session.tracks[0].clips[0].take)[at])
        dialog.by.choose(1)
        seen.append(beats_of(apart.session, apart.session.tracks[0].clips[0].take)[at])
        answers.pop(0)(dialog)

    seen, answers = [], [RhythmDialog.reject, RhythmDialog.accept]
    monkeypatch.setattr(RhythmDialog, "exec", choose)
    press(apart, "take-rhythm")
    assert apart.session == session
    assert not np.allclose(seen[0], own)
    press(apart, "take-rhythm")
    assert label(apart) == "Copy rhythm from other"
    press(apart, "share-bands")

    low, high = (track.clips[0].take.crossover for track in apart.session.tracks)
    assert (low.hertz, low.is_high, high.is_high) == (500.0, False, True)
    press(apart, "all-bands")
    assert apart.session.tracks[0].clips[0].take.crossover is None


def test_as_played_hits_are_not_there_to_be_taken(apart):
    apart.press(Qt.Key.Key_A)
    apart.settle()
    assert apart.desk.transport.side is Side.AS_PLAYED

    steps = len(apart.desk.store.history.past)
    apart.drag(wave(apart), (HEADER + 80, 80), (HEADER + 160, 80))
    apart.click(apart.window.timeline.evidence["shape"], (HEADER + 100, 60))

    assert len(apart.desk.store.history.past) == steps


def test_with_no_hit_chosen_delete_asks_for_hits_and_the_clip_goes_by_its_strip_only(apart):
    apart.desk.view.chosen.choose_hits(apart.desk.view.chosen.place, ())
    session = apart.session
    for name in ("drop-onset", "cut-out", "delete-close"):
        press(apart, name)
        assert apart.session is session
        assert "Select hits to" in apart.window.status.words.said
    apart.desk.view.chosen.choose_clips((apart.desk.view.chosen.place,))
    press(apart, "drop-onset")
    assert not apart.session.tracks[0].clips


def test_escape_lets_go_of_hits_before_it_answers_anything(apart):
    apart.click(wave(apart), (x_of(apart, 3), 80))
    answered = []
    apart.window.decision.answers = answered.append
    apart.press(Qt.Key.Key_Escape)
    assert apart.desk.view.chosen.hits == ()
    assert answered == []


@pytest.mark.parametrize("pixels", [0, 1, 4])
def test_a_hit_is_taken_from_its_attack_on_and_no_end_of_the_one_before(apart, pixels):
    starts, _ = spans(apart)
    x = round(float(wave(apart).x_of(starts[4]))) + pixels
    apart.click(wave(apart), (x, 80))
    assert apart.desk.view.chosen.hits == (slices(apart).ids[4],)
    assert label(apart) == "Slice clip at onsets"


@pytest.mark.parametrize("both", [False, True])
def test_a_hit_that_is_put_on_another_replaces_it_and_says_so(apart, both):
    ids, count = slices(apart).ids, len(slices(apart))
    starts, _ = spans(apart)
    apart.desk.view.set_snapping(is_snapping=False)
    start = x_of(apart, 2)
    by = float(wave(apart).x_of(starts[4]) - wave(apart).x_of(starts[2]))
    apart.drag(wave(apart), (start, 80), (start + by, 80), modifier=ALT if both else None, release=False)
    if not both:
        assert "replaces 1 hit" in apart.window.status.words.said
    apart.bot.mouseRelease(wave(apart), Qt.MouseButton.LeftButton, pos=QPoint(round(start + by), 80))
    assert len(slices(apart)) == count - (not both)
    assert (ids[4] in slices(apart).ids) == both
    apart.window.undo()
    assert slices(apart).ids == ids


def test_half_time_of_some_hits_leaves_the_others_and_no_tick_of_any(apart):
    ids = slices(apart).ids
    apart.desk.view.chosen.choose_hits(apart.desk.view.chosen.place, ids[2:5])
    before = dict(zip(ids, slices(apart).places, strict=True))
    natural = slices(apart).spans[2:5]
    press(apart, "hits-half")
    now = dict(zip(slices(apart).ids, slices(apart).places, strict=True))
    assert [now[each] for each in ids if each not in ids[2:5]] == [
        before[each] for each in ids if each not in ids[2:5]
    ]
    at = slices(apart).at(ids[2:5])
    np.testing.assert_array_equal(slices(apart).spans[at], natural)


def test_repeats_and_grid_of_a_roll_tell_what_sounds(apart):
    rows = apart.window.trays[Stage.REWORK].roll
    apart.click(wave(apart), (x_of(apart, 3), 80))
    rows.count.activated.emit(3)
    rows.step.activated.emit(list(STEPS).index("1/64"))
    apart.settle()
    starts, ends = spans(apart)
    sounding = (
        len(roll_edges(Roll(step=1 / 16), int(starts[3]), int(ends[3]), apart.session.tempo, 48000)) - 1
    )
    apart.wait(lambda: rows.count.currentText() == str(sounding))
    assert f"{sounding} repeats, every 1/64" in apart.window.status.words.said

    rows.count.activated.emit(2)
    apart.wait(lambda: rows.step.currentText() == "evenly")
    assert rows.count.currentText() == "3"
    assert "off the grid" in apart.window.status.words.said
