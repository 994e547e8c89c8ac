"""Tighten in depth at the real window: grooves, pairs, recipes for spans and chosen hits."""

import msgspec
import numpy as np
import pytest
from PySide6.QtCore import QPointF, Qt
from PySide6.QtWidgets import QFileDialog, QInputDialog

from chronotome.dsp.mute_span import MuteMethod
from chronotome.dsp.stretch.engines import MoveBy, StretchMaterial
from chronotome.dsp.stretch.gaps import Crossing, Fill
from chronotome.files.grooves import kept_grooves, library_folder, read_groove, shipped_grooves
from chronotome.files.places import load_settings
from chronotome.session.check import Kind
from chronotome.session.checks import checks_of
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import move_hit, set_tighten
from chronotome.session.edits.timing import set_beat_one, set_loop
from chronotome.session.edits.tracks import set_muted
from chronotome.session.lines import SwingOf
from chronotome.session.settings import Moving
from chronotome.session.tighten import pairs_of, targets_of
from chronotome.ui.state.view_state import For, Stage
from chronotome.ui.timeline.lane import HEADER
from sounds import noise_hits, write

RATE, STEP = 48000, 12000
SHIFT, CONTROL = Qt.KeyboardModifier.ShiftModifier, Qt.KeyboardModifier.ControlModifier


@pytest.fixture
def two(person, tmp_path):
    """Sixteen quarters at 120 bpm, the off-beats 15 ms late; and a second take of them, sloppier."""
    first = [2400 + place * STEP + 720 * (place % 2) for place in range(32)]
    second = [frame + (400, -900, 1100, -300)[place % 4] for place, frame in enumerate(first)]
    folder = tmp_path
    for name, frames, seed in (("one", first, 1), ("two", second, 2)):
        sound = noise_hits(frames, 33 * STEP, rate=RATE, seed=seed)
        person.window.open([write(folder / f"{name}.wav", sound, rate=RATE)])
        person.settle()
    apply = person.desk.store.apply
    apply(lambda s: set_beat_one(set_tempo(s, 120.0), 2400 / RATE), "Fit")
    person.desk.view.chosen.focus(person.session.tracks[0].id)
    person.desk.view.show_stage(Stage.TIGHTEN)
    person.desk.view.sight.fit()
    person.settle()
    person.commands = person.window.commands
    person.tray = person.window.trays[Stage.TIGHTEN]
    return person


def targets(person, number=0):
    track = person.session.tracks[number]
    return targets_of(person.session, track, track.takes[0])


def run(person, *names):
    for name in names:
        person.window.actions_table.run(name)
    person.settle()


def chosen(combo, words):
    combo.setCurrentIndex(combo.findText(words))
    combo.activated.emit(combo.currentIndex())


def test_a_groove_is_taken_from_one_track_and_played_by_another(two):
    two.press(Qt.Key.Key_G, SHIFT)
    two.settle()
    groove = two.session.grooves[0]
    assert two.desk.view.evidence[Stage.TIGHTEN] == "groove"
    assert groove.name == two.session.tracks[0].name
    two.desk.view.chosen.focus(two.session.tracks[1].id)
    two.tray.to.choose(1)
    two.tray.strength.settled.emit(100.0)
    two.settle()

    found = targets(two, 1)

    late = 1000 * (two.session.tempo.seconds_at(found.line_beats) - two.session.tempo.seconds_at(found.steps))
    assert np.median(late[1::2]) == pytest.approx(15.0, abs=0.6)
    assert np.abs(found.landing).max() < 0.1
    two.press(Qt.Key.Key_Z, CONTROL)
    assert two.session.tracks[1].tighten.strength == 0.0


def test_a_step_is_dragged_drawn_over_and_nudged(two):
    run(two, "take-groove")
    lane, session = two.window.timeline.evidence["groove"], two.session
    before = two.desk.groove
    at = [float(lane.x_of(session.frame_of(beat))) for beat in (4.0, 4.5, 5.0, 5.5)]
    scale = lane._scale(before)

    def y_of(milliseconds):
        return lane._y_of(milliseconds, scale)

    two.drag(lane, (at[0], y_of(before.steps[0].offset_ms)), (at[0], y_of(10.0)))
    assert two.desk.groove.steps[0].offset_ms == pytest.approx(10.0, abs=1.0)
    assert two.desk.store.history.past[-1].label == "Move groove step"
    scale = lane._scale(two.desk.groove)
    two.drag(lane, (at[0], y_of(5.0)), (at[3], y_of(5.0)), modifier=SHIFT)
    assert {step.offset_ms for step in two.desk.groove.steps[:4]} == {5.0}
    two.drag(lane, (at[1], 60), (at[1], 90), modifier=CONTROL)
    assert two.desk.groove.steps[1].level_db == pytest.approx(before.steps[1].level_db - 6.0, abs=0.2)
    two.press(Qt.Key.Key_Down)
    assert two.desk.groove.steps[1].offset_ms == 6.0
    two.drag(lane, (at[2], y_of(5.0)), (at[2], y_of(12.0)), release=False)
    two.press(Qt.Key.Key_Escape)
    assert two.desk.groove.steps[2].offset_ms == 5.0
    two.double_click(lane, (at[3], y_of(5.0)))
    assert two.desk.groove.steps[3].offset_ms == 0.0


def test_a_groove_is_smoothed_blended_kept_written_and_read(two, tmp_path, monkeypatch):
    run(two, "take-groove")
    before = two.desk.groove
    run(two, "mirror-groove")
    np.testing.assert_allclose(two.desk.groove.offsets, -before.offsets)
    run(two, "mirror-groove", "rotate-on", "groove-2")
    assert len(two.desk.groove.steps) == 2 * len(before.steps)
    run(two, "undo")
    other = next(iter(shipped_grooves()))
    two.tray.grooves.blend_with(other)
    two.tray.grooves.blend.slid.emit(100.0)
    two.tray.grooves.blend.settled.emit(100.0)
    assert two.desk.groove.offsets_at(other.beats).tolist() == pytest.approx(other.offsets.tolist(), abs=0.06)
    two.commands.grooves.keep()
    assert [groove.name for _, groove in kept_grooves()] == [two.desk.groove.name]
    out = tmp_path / "feel.groove.json"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (str(out), ""))
    monkeypatch.setattr(QFileDialog, "getOpenFileName", lambda *_: (str(out), ""))
    run(two, "write-groove", "read-groove")
    assert read_groove(out).steps == two.session.grooves[0].steps
    assert len(two.session.grooves) == 2
    out.write_text("{}")
    run(two, "read-groove")
    assert "feel.groove.json" in two.window.status.words.said
    run(two, "remove-groove")
    assert len(two.session.grooves) == 1


def test_a_take_is_matched_and_a_pair_is_set_by_hand(two):
    two.desk.view.chosen.focus(two.session.tracks[1].id)
    two.tray.to.choose(2)
    two.settle()
    assert two.desk.view.evidence[Stage.TIGHTEN] == "match"
    assert np.abs(targets(two, 1).target - targets(two, 0).target).max() <= 1
    two.desk.view.sight.zoom(4.0)
    lane = two.window.timeline.evidence["match"]
    view = lane._view()
    inside = np.flatnonzero((view.tops > HEADER + 40) & (view.tops < lane.width() - 120))
    at = int(inside[0])
    onset, partner = int(view.pairs.own.onsets[at]), int(view.pairs.partner[at])

    two.drag(lane, (view.tops[at], 6), (view.feet[partner + 1], lane._wave_top - 3))

    def pairs():
        track = two.session.tracks[1]
        return pairs_of(two.session, track, track.takes[0])

    assert pairs().partner[at] == partner + 1
    assert two.desk.store.history.past[-1].label == "Pair hits"
    two.desk.view.chosen.select(onset)
    run(two, "break-pair")
    assert pairs().partner[at] == -1
    run(two, "pair-found")
    assert pairs().partner[at] == partner
    two.tray.pairs.within.settled.emit(5.0)
    assert pairs().is_paired.sum() < 20
    two.tray.pairs.alones.choose(2)
    two.tray.to.choose(0)
    assert two.session.tracks[1].tighten.match is None


def test_a_span_gets_a_recipe_of_its_own_that_one_key_removes(two):
    two.desk.store.apply(lambda s: set_loop(s, 4.0, 8.0), "Loop")
    two.tray.whom.choose(1)
    two.tray.strength.settled.emit(60.0)
    two.settle()
    lane = two.window.timeline.recipes
    assert lane.isVisible()
    assert lane.spans()[0].words.startswith("60 %")
    assert "2 to 3" in two.tray.about.text()

    two.press(Qt.Key.Key_Z)
    assert two.session.tracks[0].spans[0].recipe.rounds == 1
    two.tray.whom.choose(0)
    middle = lane.x_of(two.session.frame_of(6.0))
    two.click(lane, (middle, 8))
    assert two.desk.view.recipe_for is For.SPAN
    end = lane.x_of(two.session.frame_of(8.0))
    two.drag(lane, (end, 8), (lane.x_of(two.session.frame_of(10.0)), 8))
    assert (two.session.tracks[0].spans[0].start, two.session.tracks[0].spans[0].end) == (4.0, 10.0)
    two.press(Qt.Key.Key_Backspace, SHIFT)
    assert two.session.tracks[0].spans == ()
    assert not lane.isVisible()
    two.desk.view.set_recipe_for(For.SPAN, (1.0, 2.0))
    two.desk.view.chosen.focus(two.session.tracks[1].id)
    assert (two.desk.view.recipe_for, two.desk.view.scope.span) == (For.TRACK, None)


def test_hits_are_chosen_by_sweep_step_drift_and_band_and_move_together(two):
    lane, shown = two.window.timeline.wave, two.desk.shown
    xs = lane.xs_of(shown.hits)
    two.drag(lane, (xs[4] - 5, 80), (xs[7] + 5, 80))
    assert len(two.desk.view.chosen.onsets) == 4
    two.drag(lane, (xs[4] - 5, 80), (xs[4] - 3, 80))  # a hand that trembles clicks
    assert two.desk.view.chosen.onsets == ()
    assert two.desk.transport.position == pytest.approx(lane.frame_of(xs[4] - 5), abs=600)
    two.drag(lane, (xs[4] - 5, 80), (xs[7] + 5, 80))
    before = targets(two).target.copy()
    two.press(Qt.Key.Key_Down, SHIFT)
    moved = targets(two).target - before
    np.testing.assert_allclose(moved[4:8], 480, atol=1)
    assert np.count_nonzero(moved) == 4
    x = float(lane.xs_of(two.desk.shown.hits)[5])
    two.drag(lane, (x, 4), (x + 6, 4), modifier=None)
    assert two.desk.store.history.past[-1].label == "Move 4 hits"
    run(two, "reset-hit")
    assert (targets(two).target == before).all()
    two.bot.mouseClick(lane, Qt.MouseButton.LeftButton, SHIFT, lane.rect().topLeft() + lane_point(xs[9]))
    assert len(two.desk.view.chosen.onsets) == 5
    two.tray.folded_bar.chosen.emit(0.5)
    assert len(two.desk.view.chosen.onsets) == 4
    run(two, "choose-band")
    assert len(two.desk.view.chosen.onsets) >= 4
    run(two, "choose-hits")
    assert len(two.desk.view.chosen.onsets) == 32
    run(two, "choose-late")
    assert two.desk.view.chosen.onsets == ()


def lane_point(x):
    from PySide6.QtCore import QPoint

    return QPoint(round(x), 4)


def test_chosen_hits_have_a_recipe_of_their_own(two):
    shown = two.desk.shown
    ids = shown.targets.onsets[1:4:2].tolist()
    two.desk.view.chosen.pick(tuple(ids), ids[0])
    two.press(Qt.Key.Key_F, SHIFT)
    assert two.desk.view.recipe_for is For.CHOSEN
    two.tray.strength.settled.emit(100.0)
    two.settle()
    assert np.count_nonzero(targets(two).target != targets(two).played) == 2
    two.press(Qt.Key.Key_Backspace, SHIFT)
    assert np.count_nonzero(targets(two).target != targets(two).played) == 0


def test_a_hit_goes_to_the_line_before_and_after_it(two):
    two.tray.division.setCurrentIndex(3)
    two.tray.division.activated.emit(3)
    onset = int(two.desk.shown.targets.onsets[5])
    two.desk.view.chosen.select(onset)
    two.press(Qt.Key.Key_Q)
    at = targets(two)
    assert at.target[5] == pytest.approx(two.session.frame_of(2.5), abs=1)
    two.press(Qt.Key.Key_E)
    assert targets(two).target[5] > at.target[5]


def test_a_hit_goes_a_line_on_with_all_after_it_up_to_one_set_by_hand(two):
    before = targets(two)
    shown = two.desk.shown
    held = int(before.onsets[9])
    two.desk.store.apply(
        lambda s: move_hit(s, shown.track.id, shown.clip.id, held, s.beat_of(before.target[9])), "Hold"
    )
    two.desk.view.chosen.select(int(before.onsets[4]))

    two.press(Qt.Key.Key_Q, Qt.KeyboardModifier.AltModifier | Qt.KeyboardModifier.ControlModifier)
    two.settle()

    moved = (targets(two).target - before.target) / RATE * 120 / 60
    assert (moved[:4] == 0).all()
    assert moved[4] == pytest.approx(-0.25, abs=0.05)
    np.testing.assert_allclose(moved[5:9], -0.25, atol=1e-3)
    assert (moved[9:] == 0).all()
    run(two, "undo")
    assert (targets(two).target == before.target).all()


def test_variants_are_gone_round_by_key(two, monkeypatch):
    monkeypatch.setattr(QInputDialog, "getText", lambda *_, **__: ("tight", True))
    two.tray.strength.settled.emit(100.0)
    two.press(Qt.Key.Key_V)
    monkeypatch.setattr(QInputDialog, "getText", lambda *_, **__: ("loose", True))
    two.tray.strength.settled.emit(20.0)
    two.press(Qt.Key.Key_V)

    two.press(Qt.Key.Key_V, SHIFT)
    assert two.session.tracks[0].tighten.strength == 1.0
    assert two.commands.tighten.variant == "tight"
    chosen(two.tray.variant, "loose")
    assert two.session.tracks[0].tighten.strength == 0.2


def test_what_a_track_keeps_clean_is_chosen_and_its_recipe_in_the_rare_rows(two):
    tray = two.tray
    tray.moving.keeps.setCurrentIndex(2)
    tray.moving.keeps.activated.emit(2)
    assert two.session.tracks[0].moving.keeps == "one note"
    chosen(tray.moving.fill, "room tone")
    chosen(tray.moving.crossing, "firm")
    tray.moving.crossfade.settled.emit(12.5)
    tray.moving.pitch.settled.emit(-3.25)
    tray.moving.formants.click()
    moving = two.session.tracks[0].moving
    assert (moving.fill, moving.crossing, moving.crossfade) == ("room tone", "firm", 12.5)
    assert (moving.semitones, moving.keeps_formants) == (-3.25, True)
    tray.shift.settled.emit(12.0)
    tray.even.settled.emit(50.0)
    chosen(tray.swing_of, "eighths")
    chosen(tray.scales, "same share of a step")
    two.settle()
    recipe = two.session.tracks[0].tighten
    assert (recipe.shift, recipe.loudness, recipe.swing_of, recipe.scales) == (12.0, 0.5, "eighths", True)
    run(two, *["undo"] * 10)
    assert two.session.tracks[0].moving == Moving()


def test_a_clip_is_moved_in_a_way_of_its_own_once_that_is_asked_for(two):
    run(two, "own-moving")
    two.tray.moving.way.choose(0)
    track = two.session.tracks[0]
    assert (track.moving.by, track.takes[0].moving.by) == ("stretching", "cutting")
    assert two.tray.own_moving.text() == "Use method of track"
    run(two, "next-keeps", "next-fill", "next-crossing", "pitch-up", "cents-down", "crossfade-more")
    run(two, "keep-formants", "bears-more", "next-way")
    assert two.session.tracks[0].takes[0].moving == Moving(
        MoveBy.STRETCHING, StretchMaterial.DRUMS, Fill.AGAIN, 6.0, Crossing.STRAIGHT, 1.3, 0.9, True
    )
    run(two, "own-moving")
    assert two.session.tracks[0].takes[0].moving is None
    run(two, "next-feel", "next-swing-of", "groove-scales", "stroke-more", "catch-less", "grid-ruler")
    recipe = two.session.tracks[0].tighten
    assert (recipe.grid.feel, recipe.swing_of, recipe.scales) == ("triplet", "eighths", True)
    assert (recipe.stroke, recipe.catch, recipe.follows_ruler) == (45.0, 0.95, True)
    two.settle()
    assert two.tray.moving.way.index == 1


def test_a_grid_that_is_as_the_ruler_follows_the_zoom_without_a_step_of_undo(two):
    two.tray.division.setCurrentIndex(two.tray.division.count() - 1)
    two.tray.division.activated.emit(two.tray.division.count() - 1)
    for factor, wanted in ((40.0, 32), (1 / 400, 8)):
        two.desk.view.sight.zoom(factor)
        two.wait(lambda wanted=wanted: two.session.tracks[0].tighten.grid.division == wanted)
        assert two.tray.division.currentText() == f"from ruler: 1/{wanted}"
    assert two.desk.store.history.undo_label == "Set grid"
    run(two, "grid-finer")
    two.desk.view.sight.zoom(40.0)
    two.bot.wait(150)
    assert two.session.tracks[0].tighten.grid.division == 16


def test_a_place_to_check_is_mended_by_key_accepted_and_only_one_kind_gone_through(two):
    """One hit of the second take is 30 ms off: a flam with the first."""
    shown = two.desk.shown
    track, onset = shown.track.id, int(shown.targets.onsets[8])
    beat = two.session.beat_of(shown.targets.target[8] + 0.03 * RATE)
    two.desk.store.apply(lambda s: move_hit(s, track, shown.clip.id, onset, beat), "Off")
    two.settle()

    def checks():
        return checks_of(two.session, two.session.tracks[0])

    assert [each.kind for each in checks()] == [Kind.FLAM]
    two.tray.checks.kind.setCurrentIndex(1 + list(Kind).index(Kind.STRETCHED))
    two.tray.checks.kind.activated.emit(two.tray.checks.kind.currentIndex())
    two.press(Qt.Key.Key_N)
    assert two.desk.view.chosen.onset != onset
    two.tray.checks.kind.activated.emit(0)
    two.press(Qt.Key.Key_N)
    assert two.desk.view.chosen.onset == onset
    two.press(Qt.Key.Key_Return, CONTROL)
    assert not checks()
    assert np.abs(targets(two).target[8] - targets(two, 1).target).min() <= 1
    run(two, "undo")
    two.desk.view.chosen.select(onset)
    run(two, "hear-place")
    assert two.desk.transport.is_playing
    two.desk.transport.stop()
    two.press(Qt.Key.Key_Period, CONTROL)
    assert not checks()
    assert two.session.tracks[0].takes[0].accepted == ((onset, Kind.FLAM),)
    run(two, "undo")
    two.desk.view.chosen.select(onset)
    two.press(Qt.Key.Key_E)
    assert not checks()
    assert two.session.tracks[1].takes[0].touches


def test_a_noise_is_silenced_and_heard_again(two):
    shown = two.desk.shown
    onset, start = int(shown.targets.onsets[6]), int(shown.targets.played[6])
    other = two.session.tracks[1].id
    two.desk.store.apply(lambda s: set_muted(s, other, True), "Mute")
    two.desk.view.chosen.select(onset)
    loud = np.abs(two.offline(4000, start=start)).max()

    two.press(Qt.Key.Key_D)
    two.settle()

    assert np.abs(two.offline(4000, start=start)).max() < 0.01 * loud
    assert two.session.tracks[0].takes[0].hushes[0].by is MuteMethod.SILENCE
    two.press(Qt.Key.Key_D, SHIFT)
    two.settle()
    assert [each.by for each in two.session.tracks[0].takes[0].hushes] == [MuteMethod.ROOM]
    assert 0 < np.abs(two.offline(4000, start=start)).max() < 0.1 * loud
    wave, (noise,) = two.window.timeline.wave, two.session.tracks[0].takes[0].hushes
    for is_end, to, wanted in ((True, 3000, 3000), (False, 2000, 2000), (True, -9000, 2096)):
        noise = two.session.tracks[0].takes[0].hushes[0]
        x = wave.x_of(two.desk.shown.frame_shown(noise.end if is_end else noise.start))
        there = wave.x_of(two.desk.shown.frame_shown(start + to))
        two.drag(wave, (x, 60), (there, 60))
        two.settle()
        noise = two.session.tracks[0].takes[0].hushes[0]
        place = noise.end if is_end else noise.start
        assert abs(place - start - wanted) < 1.5 * two.desk.view.sight.viewport.frames_per_pixel
    run(two, "undo", "undo", "undo", "noise-back")
    assert np.abs(two.offline(4000, start=start)).max() == pytest.approx(loud, rel=1e-3)


def test_a_warp_marker_is_set_where_nothing_begins_and_neighbours_are_held(two):
    lane, shown = two.window.timeline.wave, two.desk.shown
    xs = lane.xs_of(shown.hits)
    two.double_click(lane, ((xs[4] + xs[5]) / 2, 80))
    two.settle()
    assert len(targets(two)) == 33
    assert len(two.session.tracks[0].takes[0].touches) == 3
    before = targets(two).target.copy()
    two.tray.strength.settled.emit(100.0)
    np.testing.assert_array_equal(targets(two).target[4:7], before[4:7])
    run(two, "undo", "undo")
    x = float(lane.xs_of(two.desk.shown.hits)[9])
    two.drag(lane, (x, 4), (x + 4, 4), modifier=CONTROL)
    held = {touch.onset for touch in two.session.tracks[0].takes[0].touches}
    assert held >= set(targets(two).onsets[8:11].tolist())
    run(two, "free")
    assert len(two.session.tracks[0].takes[0].touches) < len(held)
    run(two, "hold", "holding")
    assert two.desk.view.holds_neighbours


def test_a_groove_on_the_shelf_is_heard_on_what_plays_and_kept_or_not(two):
    run(two, "take-groove", "keep-groove")
    before = two.session
    two.window.toggle_shelf()
    shelf = two.window.shelf
    shelf.what.choose(1)
    names = [shelf.grooves.list.item(at).data(Qt.ItemDataRole.UserRole).name for at in range(9)]
    assert names == ["one", *(each.name for each in shipped_grooves())]
    two.desk.store.apply(lambda s: set_tighten(s, s.tracks[0].id, strength=1.0), "Tighten")
    two.settle()
    tight = targets(two)

    shelf.grooves.list.setCurrentRow(3)
    two.settle()
    heard = two.session.groove(two.session.tracks[0].tighten.groove)
    assert heard.name == names[3]
    assert targets(two) != tight
    two.press_in(shelf.grooves.list, Qt.Key.Key_Escape)
    assert two.session.tracks[0].tighten.groove == 0
    assert targets(two) == tight
    shelf.grooves.list.setCurrentRow(4)
    two.desk.view.chosen.focus(two.session.tracks[1].id)
    assert not two.desk.store.is_drafting
    two.desk.view.chosen.focus(two.session.tracks[0].id)
    shelf.grooves.list.setCurrentRow(4)
    assert two.desk.store.is_drafting
    run(two, "undo")
    assert shelf.grooves.groove is None
    assert two.session.tracks[0].tighten.strength == 1.0
    shelf.grooves.list.setCurrentRow(4)
    two.window.toggle_shelf()
    assert two.session.grooves == before.grooves
    two.window.toggle_shelf()
    shelf.grooves.list.setCurrentRow(5)
    two.press_in(shelf.grooves.list, Qt.Key.Key_Return)
    assert two.session.groove(two.session.tracks[0].tighten.groove).name == names[5]
    assert not two.desk.store.is_drafting
    for row, left in ((1, 9), (0, 8)):
        shelf.grooves.list.setCurrentRow(row)
        two.press_in(shelf.grooves.list, Qt.Key.Key_Delete)
        assert shelf.grooves.list.count() == left
    assert not kept_grooves()
    assert read_groove(library_folder() / "removed" / "one.groove.json").name == "one"


def test_the_swing_that_fit_hears_is_one_button_away(two):
    recording = two.session.recordings[0]
    measured = msgspec.structs.replace(recording.measured, swing=61.7, swing_division=16)
    new = msgspec.structs.replace(recording, measured=measured)
    rest = two.session.recordings[1:]
    two.desk.store.apply(lambda s: msgspec.structs.replace(s, recordings=(new, *rest)), "Heard")
    two.desk.view.chosen.focus(two.session.tracks[0].id)
    two.desk.view.show_stage(Stage.TIGHTEN)
    tray = two.window.trays[Stage.TIGHTEN]
    two.wait(lambda: tray.as_played.text() == "as played: 62 %")
    assert tray.as_played.isVisible()

    tray.as_played.click()

    recipe = two.session.tracks[0].tighten
    assert (recipe.swing, recipe.swing_of) == (61.7, SwingOf.SIXTEENTHS)
    two.wait(lambda: not tray.as_played.isVisible())
    two.desk.view.chosen.focus(two.session.tracks[1].id)
    two.window.actions_table.run("swing-as-played")
    assert "No swing detected" in two.window.status.words.said


def test_settings_of_their_own_and_snapshots_are_explained_once(at_work):
    said, words = [], at_work.window.status.words
    at_work.desk.tasks.told.connect(said.append)
    commands = at_work.window.commands.tighten
    at_work.desk.view.chosen.select(at_work.session.recordings[0].onsets.ids[4])
    commands.show_for(For.CHOSEN)
    assert "for these alone" in words.said
    commands.keep_variant("Late")
    commands.keep_variant("Later")
    at_work.desk.view.set_recipe_for(For.TRACK)
    commands.show_for(For.CHOSEN)
    assert [each.partition(" ")[0] for each in said] == ["All", "A", "Saved"]
    assert set(load_settings().told) == {"own settings", "snapshot"}


def test_the_loudness_lane_shows_what_evening_out_does_and_a_click_selects_a_hit(at_work):
    at_work.press(Qt.Key.Key_4, Qt.KeyboardModifier.AltModifier)
    lane = at_work.window.timeline.evidence["loudness"]
    assert lane.isVisible()
    assert not at_work.window.timeline.evidence["drift"].isVisible()
    at_work.wait(lambda: bool(np.isfinite(lane._levels(lane.shown)[0]).all()))
    played, heard = lane._levels(lane.shown)
    assert played.max() == 0
    assert (heard == played).all()

    track, loud = at_work.session.tracks[0].id, int(played.argmax())
    at_work.desk.store.apply(lambda s: set_tighten(s, track, loudness=1.0), "Even")
    at_work.settle()
    played, heard = lane._levels(lane.shown)
    assert heard.std() < 0.5 * played.std()

    x, y = lane.xs_of(lane.shown.landings)[loud], lane._ys(heard)[loud]
    assert "as played" in lane.told_at(QPointF(x, y))
    at_work.click(lane, (x, y))
    assert at_work.desk.view.chosen.onsets == (int(lane.shown.targets.onsets[loud]),)
    before = lane.grab().toImage()
    at_work.drag(lane, (x - 8, 20), (x + 40, 20), release=False)
    assert lane.grab().toImage() != before
    at_work.press(Qt.Key.Key_Escape)
    at_work.click(lane, (60, lane._box(0).center().y()))
    assert at_work.window.timeline.evidence["drift"].isVisible()
