import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt

from chronotome.bridge import rendering
from chronotome.render.mix import Side
from chronotome.session.edits.recordings import set_analysis
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.model import replace
from chronotome.session.targets import Reason
from chronotome.session.tighten import targets_of
from chronotome.ui.state.shown import shown_of
from chronotome.ui.state.view_state import Stage

ALT = Qt.KeyboardModifier.AltModifier


def targets(person):
    session = person.session
    return targets_of(session, session.tracks[0], session.tracks[0].clips[0].take)


def drift_place(person, at):
    """Screen place of a drift mark as played."""
    lane = person.window.timeline.evidence["drift"]
    shown = lane.shown
    xs, played, _ = lane._points(shown, lane._scale(shown))
    return xs[at], played[at]


def test_dragging_a_drift_mark_moves_the_hit_by_hand_as_one_step_and_is_heard(at_work):
    lane = at_work.window.timeline.evidence["drift"]
    steps = len(at_work.desk.store.history.past)
    before = at_work.offline(200000)
    x, y = drift_place(at_work, 5)

    at_work.drag(lane, (x, y), (x, y + 30))
    at_work.settle()

    moved = targets(at_work)
    assert moved.reasons[5] == Reason.BY_HAND
    assert moved.landing[5] == round(moved.landing[5])  # whole milliseconds, with snap
    assert len(at_work.desk.store.history.past) == steps + 1
    assert at_work.desk.store.history.undo_label == "Move hit"
    after = at_work.listen(4.0)
    assert np.abs(after[:190000] - at_work.offline(190000)[: len(after)])[16:].max() == 0
    assert np.abs(at_work.offline(200000) - before).max() > 0.01


def test_alt_keeps_it_off_the_grid(at_work):
    lane = at_work.window.timeline.evidence["drift"]
    x, y = drift_place(at_work, 5)

    at_work.drag(lane, (x, y), (x, y + 31), modifier=ALT)

    landing = targets(at_work).landing[5]
    assert abs(landing - round(landing)) > 0.01


def test_near_the_line_it_snaps_to_it(at_work):
    lane = at_work.window.timeline.evidence["drift"]
    shown = lane.shown
    scale = lane._scale(shown)
    x, y = drift_place(at_work, 5)
    landing_y = lane._y_of(float(shown.targets.landing[5]), scale)

    at_work.drag(lane, (x, y), (x, y + lane._y_of(1.5, scale) - landing_y))

    assert targets(at_work).target[5] == targets(at_work).line[5]


def test_escape_during_a_drag_leaves_no_trace(at_work):
    lane = at_work.window.timeline.evidence["drift"]
    before = at_work.desk.store.history
    x, y = drift_place(at_work, 5)

    at_work.drag(lane, (x, y), (x, y + 40), release=False)
    was_drafting = at_work.desk.store.is_drafting
    at_work.press(Qt.Key.Key_Escape)

    assert was_drafting
    assert at_work.desk.store.history is before
    assert at_work.session is before.session


def test_double_click_takes_back_what_was_set_by_hand(at_work):
    lane = at_work.window.timeline.evidence["drift"]
    x, y = drift_place(at_work, 5)
    at_work.drag(lane, (x, y), (x, y + 30))
    assert targets(at_work).reasons[5] == Reason.BY_HAND

    at_work.double_click(lane, drift_place(at_work, 5))

    assert targets(at_work).reasons[5] == Reason.GRID


def test_dragging_a_diamond_moves_the_hit_and_snaps_to_lines(at_work):
    ruler = at_work.window.timeline.ruler
    place = targets(at_work)
    x = float(ruler.xs_of(place.target[5:6])[0])
    line = float(ruler.xs_of(place.line[5:6])[0])

    at_work.drag(ruler, (x, ruler.height() - 5), (line + 3, ruler.height() - 5))

    moved = targets(at_work)
    assert moved.reasons[5] == Reason.BY_HAND
    assert moved.target[5] == moved.line[5]


def test_dragging_a_notch_in_tighten_moves_the_hit_not_the_onset(at_work):
    wave = at_work.window.timeline.wave
    frames = at_work.session.recordings[0].onsets.frames
    x = float(wave.xs_of(wave.shown.hits)[5])

    at_work.drag(wave, (x, 4), (x + 12, 4), modifier=ALT)

    assert targets(at_work).reasons[5] == Reason.BY_HAND
    assert at_work.session.recordings[0].onsets.frames == frames


def test_in_mark_a_notch_is_the_onset_itself(at_work):
    at_work.press(Qt.Key.Key_1)
    at_work.desk.transport.listen(Side.AS_PLAYED)
    wave = at_work.window.timeline.wave
    shown = wave.shown
    before = shown.targets.played[5]
    x = float(wave.xs_of(shown.hits)[5])

    at_work.drag(wave, (x, 4), (x + 10, 4), modifier=ALT)

    after = targets(at_work).played[5]
    assert after - before == pytest.approx(10 * at_work.desk.view.sight.viewport.frames_per_pixel, rel=0.1)


def test_double_click_in_mark_adds_drops_and_keeps(at_work):
    at_work.press(Qt.Key.Key_1)
    wave = at_work.window.timeline.wave
    count = len(targets(at_work))
    between = float(wave.xs_of(wave.shown.hits)[5:7].mean())

    at_work.double_click(wave, (between, 80))
    added = len(targets(at_work))
    at_work.double_click(wave, (float(wave.xs_of(wave.shown.hits)[6]), 4))
    dropped = len(targets(at_work))

    assert (added, dropped) == (count + 1, count)


def test_the_threshold_line_is_dragged_and_faint_onsets_turn_silent_at_once(at_work):
    at_work.press(Qt.Key.Key_1)
    onsets = at_work.session.recordings[0].onsets
    weaker = replace(onsets, strengths=tuple(60.0 + place % 2 * 30 for place in range(len(onsets))))
    content = at_work.session.recordings[0].content
    at_work.desk.store.amend(lambda session: set_analysis(session, content, weaker, None))
    lane = at_work.window.timeline.evidence["strength"]
    threshold = at_work.session.recordings[0].threshold
    y = lane._y_of(threshold)

    at_work.drag(lane, (lane.width() - 20, y), (lane.width() - 20, lane._y_of(75.0)), release=False)
    card = at_work.window.rail.cards[Stage.MARK]
    strong = int(lane.shown.counts.sum())
    at_work.wait(lambda: card.figures.key == f"{strong} onsets")
    at_work.press(Qt.Key.Key_Escape)

    every = int(lane.shown.counts.sum())
    at_work.wait(lambda: card.figures.key == f"{every} onsets")
    assert 0 < strong < every
    assert at_work.session.recordings[0].threshold == threshold


def test_a_drag_over_the_ruler_loops_that_span_on_the_grid(at_work):
    ruler = at_work.window.timeline.ruler
    session = at_work.session
    first, last = (ruler.x_of(session.tempo.seconds_of(beat) * session.rate) for beat in (2.0, 4.0))

    at_work.drag(ruler, (first + 2, 8), (last - 2, 8))

    loop = at_work.session.loop
    assert (loop.start, loop.end) == pytest.approx((2.0, 4.0))
    assert at_work.session.is_looping


def test_held_at_the_side_a_drag_scrolls_on_and_comes_along_until_it_is_let_go(at_work):
    """A loop from one second on, held at the right edge: it reaches beyond the end of the recording."""
    lane, view = at_work.window.timeline.ruler, at_work.desk.view
    view.sight.fit()
    before, start = view.sight.viewport, lane.x_of(48000)
    side = lane.content.right() - 2
    at_work.drag(lane, (start, 12), (side, 12), release=False)
    at_work.wait(
        lambda: view.sight.viewport.start > before.start + 0.05 * before.width * before.frames_per_pixel
    )
    assert lane.drag.value * 24000 > before.end
    at_work.bot.mouseRelease(lane, Qt.MouseButton.LeftButton, pos=QPoint(side, 12))
    at_work.bot.wait(100)
    still = view.sight.viewport
    at_work.bot.wait(100)
    assert view.sight.viewport == still
    assert at_work.session.frame_of(at_work.session.loop.end) > view.sight.extent
    view.sight.scroll(10_000)
    assert view.sight.viewport.frame_of(view.sight.viewport.width * 2 / 3) == pytest.approx(
        view.sight.extent, rel=0.01
    )
    view.sight.zoom(0.01)
    assert view.sight.viewport.width * view.sight.viewport.frames_per_pixel == pytest.approx(
        view.sight.extent * 1.383, rel=0.01
    )


def test_what_is_taken_near_the_side_does_not_scroll_until_it_was_inside(at_work):
    lane, view = at_work.window.timeline.ruler, at_work.desk.view
    view.sight.fit()
    still = view.sight.viewport
    side = lane.content.right() - 2
    at_work.drag(lane, (side, 12), (side - 12, 12), release=False)
    at_work.bot.wait(150)
    assert view.sight.viewport == still
    at_work.bot.keyClick(lane, Qt.Key.Key_Escape)


def test_a_click_on_the_wave_puts_the_playhead(at_work):
    wave = at_work.window.timeline.wave

    at_work.click(wave, (400, 90))

    assert at_work.desk.transport.position == pytest.approx(wave.frame_of(400), abs=1)


def test_zoom_is_anchored_at_the_pointer_and_the_wheel_scrolls(at_work):
    view = at_work.desk.view
    frame = view.sight.viewport.frame_of(300)

    view.sight.zoom(2.0, 300)
    zoomed = view.sight.viewport
    view.sight.scroll(100)

    assert zoomed.frame_of(300) == pytest.approx(frame)
    assert view.sight.viewport.start == pytest.approx(zoomed.start + 100 * zoomed.frames_per_pixel)


def test_the_view_follows_the_playhead_unless_somebody_looks_elsewhere(at_work):
    view, transport = at_work.desk.view, at_work.desk.transport
    view.sight.show(view.sight.viewport.fitted(0, 20000))
    transport.go_to(1000)
    transport.play()
    at_work.window.player.step(45)
    transport._on_tick()
    followed = view.sight.viewport

    view.sight.show(view.sight.viewport.fitted(150000, 160000))
    at_work.window.player.step(4)
    transport._on_tick()

    assert followed.start <= transport.position < followed.end
    assert view.sight.viewport.start > 100000
    transport.stop()


def test_the_wave_shows_the_side_that_is_listened_to(at_work):
    edited = shown_of(at_work.session, at_work.session.tracks[0], Side.EDITED)
    played = shown_of(at_work.session, at_work.session.tracks[0], Side.AS_PLAYED)

    np.testing.assert_array_equal(played.hits, played.targets.played)
    np.testing.assert_allclose(edited.hits, edited.targets.target)
    edges = np.array([1000.0, 50000.0])
    np.testing.assert_allclose(played.under(edges)[0], edges)


@pytest.mark.parametrize("stage", Stage)
@pytest.mark.parametrize("theme", ["day", "night"])
def test_every_stage_paints_in_both_themes(at_work, stage, theme):
    from chronotome.ui.state.theme import THEMES

    at_work.desk.view.set_theme(THEMES[theme])
    at_work.desk.view.show_stage(stage)

    image = at_work.window.grab().toImage()

    ground = THEMES[theme].panel.lower()
    assert image.pixelColor(40, image.height() - 100).name() == ground
    assert len({image.pixel(x, 200) for x in range(220, 900)}) > 4


@pytest.mark.parametrize(("many", "asked"), [(1, 1), (10_000, 5)])
def test_of_very_many_hits_the_mix_follows_once_the_hand_rests(at_work, monkeypatch, many, asked):
    monkeypatch.setattr(rendering, "MANY_HITS", many)
    track, mix = at_work.desk.view.chosen.focused.id, at_work.desk.rendering
    started = []
    mix.started.connect(lambda: started.append(mix))

    for strength in (0.6, 0.7, 0.8, 0.9, 1.0):
        at_work.desk.store.draft(lambda session, value=strength: set_tighten(session, track, strength=value))
    assert not mix.is_current
    at_work.wait(lambda: mix.is_current)

    assert len(started) == asked
    at_work.desk.store.drop_draft()
    assert len(started) == asked + 1


def test_far_out_a_wave_that_moves_by_less_than_can_be_seen_is_not_drawn_again(at_work):
    store, view, wave = at_work.desk.store, at_work.desk.view, at_work.window.timeline.wave
    view.show_stage(Stage.TIGHTEN)
    track, drawn = view.chosen.focused.id, []
    for span in (2_000, 200_000_000):
        view.sight.show(view.sight.viewport.fitted(0, span))
        store.draft(lambda session: set_tighten(session, track, strength=0.6))
        wave.grab()
        first = wave._image
        store.draft(lambda session: set_tighten(session, track, strength=0.9))
        wave.grab()
        drawn.append(wave._image is not first)
        store.drop_draft()
        wave.grab()
        assert wave._image is not first

    assert drawn == [True, False]
