"""Clips at the window: cut, chosen, dragged by strip, edge, fade and corner, copied, joined, undone."""

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QColor
from PySide6.QtWidgets import QInputDialog

from chronotome.render.mix import Side
from chronotome.session.anchors import window_of
from chronotome.session.edits.clips import Range, split
from chronotome.session.edits.marks import move_onset
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.tracks import lock
from chronotome.session.model import TrackSize
from chronotome.session.tighten import targets_of
from chronotome.ui.controls.typed import TypedName
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.clip_frames import STRIP, Grip, frames_in, grip_at
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.track_header import HEIGHTS
from chronotome.ui.timeline.track_wave import track_columns
from sounds import noise_hits, write

ALT, CONTROL, SHIFT = (
    getattr(Qt.KeyboardModifier, f"{name}Modifier") for name in ("Alt", "Control", "Shift")
)


@pytest.fixture
def reworking(at_work):
    """In Rework, one track, cut in two at a beat in the middle."""
    at_work.desk.view.show_stage(Stage.REWORK)
    session = at_work.session
    middle = round(session.tempo.seconds_of(2.0) * session.rate)
    track = session.tracks[0].id
    at_work.desk.store.apply(lambda s: split(s, track, [middle]), "Slice at")
    at_work.desk.view.sight.fit()
    at_work.desk.view.sight.zoom(0.5)
    at_work.settle()
    return at_work


@pytest.fixture
def two_tracks(at_work, tmp_path):
    """In Rework, with a second track below the first."""
    write(tmp_path / "other.wav", noise_hits([3000, 60000], 200000, rate=48000), rate=48000)
    at_work.window.open([tmp_path / "other.wav"])
    at_work.settle()
    at_work.desk.view.show_stage(Stage.REWORK)
    return at_work


def clips(person, track=0):
    return person.session.tracks[track].clips


def windows(person, track=0):
    session = person.session
    whole = session.tracks[track]
    found = [window_of(session, whole, clip) for clip in whole.clips]
    return [(window.start, window.end) for window in found]


def wave(person):
    return person.window.timeline.wave


def frame(person, number, lane=None):
    lane = lane or wave(person)
    return list(frames_in(lane, lane.clips))[number]


def test_a_clip_is_dragged_by_its_strip_to_a_line_in_one_step_and_escape_leaves_no_trace(reworking):
    lane, second = wave(reworking), frame(reworking, 1)
    before, steps = windows(reworking), len(reworking.desk.store.history.past)
    start = (second.left + 60, STRIP / 2)
    beat = reworking.session.tempo.beat_of(before[1][0] / reworking.session.rate)
    line = lane.x_of(reworking.session.tempo.seconds_of(beat + 1) * reworking.session.rate)

    reworking.drag(lane, start, (start[0] + line - second.left + 3, start[1]), release=False)
    drafted = windows(reworking)
    reworking.press(Qt.Key.Key_Escape)
    assert windows(reworking) == before
    reworking.drag(lane, start, (start[0] + line - second.left + 3, start[1]))

    assert windows(reworking) == drafted
    moved = reworking.session.tempo.beat_of(windows(reworking)[1][0] / reworking.session.rate)
    assert moved == pytest.approx(beat + 1, abs=1e-4)
    assert windows(reworking)[0] == before[0]
    assert len(reworking.desk.store.history.past) == steps + 1
    assert reworking.desk.store.history.undo_label == "Move clip"
    assert reworking.desk.view.chosen.clips == ((reworking.session.tracks[0].id, clips(reworking)[1].id),)
    reworking.press(Qt.Key.Key_Z, CONTROL)
    assert windows(reworking) == before


def test_ctrl_drag_copies_shift_click_adds_and_delete_deletes_what_is_chosen(reworking):
    lane, second = wave(reworking), frame(reworking, 1)
    place = (second.left + 60, STRIP / 2)

    reworking.drag(lane, place, (place[0] + 150, place[1]), modifier=CONTROL)
    assert len(clips(reworking)) == 3
    chosen = reworking.desk.view.chosen.clips
    assert [clip for _, clip in chosen] == [clips(reworking)[-1].id]

    reworking.bot.mouseClick(
        lane, Qt.MouseButton.LeftButton, SHIFT, pos=QPoint(round(frame(reworking, 0).left) + 30, STRIP // 2)
    )
    assert len(reworking.desk.view.chosen.clips) == 2
    reworking.press(Qt.Key.Key_Delete)
    assert [clip.id for clip in clips(reworking)] == [second.place[1]]
    assert reworking.desk.view.chosen.clips == ()


def test_edges_trim_fades_fade_and_the_corner_repeats(reworking):
    lane, height = wave(reworking), wave(reworking).height()
    first_start, first_end = windows(reworking)[0]
    second, pixel = frame(reworking, 1), reworking.desk.view.sight.viewport.frames_per_pixel

    reworking.drag(lane, (second.right, height / 2), (second.right - 80, height / 2), modifier=ALT)
    assert windows(reworking)[1][1] == pytest.approx(lane.frame_of(second.right - 80), abs=pixel)
    assert windows(reworking)[0] == (first_start, first_end)

    second = frame(reworking, 1)
    handle = second.handle(None, lane, is_out=True)
    reworking.drag(lane, (handle, STRIP + 7), (second.right - 60, STRIP + 7))
    length = (windows(reworking)[1][1] - lane.frame_of(second.right - 60)) / reworking.session.rate
    assert clips(reworking)[1].fade_out == pytest.approx(length, abs=2 * pixel / reworking.session.rate)
    assert grip_at(lane, lane.clips, second.right - 60, STRIP + 7)[1] is Grip.FALL

    reworking.drag(
        lane, (second.right - 6, height - 6), (second.right + 2.2 * (second.right - second.left), height - 6)
    )
    assert len(clips(reworking)) == 4
    assert reworking.desk.store.history.undo_label == "Repeat clip"
    reworking.settle()


def test_a_cut_is_not_heard_and_joining_takes_it_back(reworking):
    whole = reworking.offline(60000, Side.EDITED)

    reworking.press(Qt.Key.Key_J, CONTROL)
    assert len(clips(reworking)) == 1
    reworking.settle()
    np.testing.assert_array_equal(reworking.offline(60000, Side.EDITED), whole)

    reworking.press(Qt.Key.Key_X, CONTROL | SHIFT)
    assert len(clips(reworking)) > 4
    reworking.settle()
    np.testing.assert_array_equal(reworking.offline(60000, Side.EDITED), whole)
    assert "clips" in reworking.window.status.words.said


def test_cut_out_and_pasted_at_the_playhead_and_duplicated(reworking):
    place = (reworking.session.tracks[0].id, clips(reworking)[0].id)
    reworking.desk.view.chosen.choose_clips((place,))

    reworking.press(Qt.Key.Key_X, CONTROL)
    assert len(clips(reworking)) == 1
    here = round(reworking.session.rate * 9.5)
    reworking.desk.transport.go_to(here)
    reworking.press(Qt.Key.Key_V, CONTROL)
    assert windows(reworking)[-1][0] == pytest.approx(here, abs=1)

    reworking.press(Qt.Key.Key_D, CONTROL)
    assert len(clips(reworking)) == 3
    assert windows(reworking)[-1][0] >= windows(reworking)[-2][1] - 0.05 * reworking.session.rate
    reworking.press(Qt.Key.Key_M, SHIFT)
    assert clips(reworking)[-1].is_muted
    reworking.settle()


def test_locked_tracks_are_cut_in_step(two_tracks):
    person = two_tracks
    first, second = (track.id for track in person.session.tracks)
    person.desk.store.apply(lambda s: lock(s, first, [second]), "Pin")
    person.desk.transport.go_to(20000)
    person.desk.view.chosen.focus(first)
    person.press(Qt.Key.Key_X)
    assert [len(track.clips) for track in person.session.tracks] == [2, 2]
    assert windows(person, 0)[0][1] == windows(person, 1)[0][1]
    person.press(Qt.Key.Key_Z, CONTROL)
    assert [len(track.clips) for track in person.session.tracks] == [1, 1]


def test_every_clip_is_drawn_as_loud_as_it_is_and_the_gap_is_empty(reworking):
    lane, theme = wave(reworking), reworking.desk.view.theme
    second = frame(reworking, 1)
    place = (second.left + 60, STRIP / 2)
    reworking.drag(lane, place, (place[0] + 120, place[1]), modifier=ALT)
    reworking.settle()

    image = lane.grab().toImage()
    first, second = frame(reworking, 0), frame(reworking, 1)

    def ink(left, right):
        """Rows in which the wave's colour is seen between two columns."""
        rows = range(STRIP + 20, lane.height() - 30)
        columns = range(int(max(left, HEADER + 2)), int(right))
        return sum(any(image.pixelColor(x, y) == QColor(theme.wave) for x in columns) for y in rows)

    assert ink(first.left + 4, first.right - 4) > 20
    assert ink(second.left + 4, second.right - 4) > 20
    assert ink(first.right + 4, second.left - 4) <= 1
    strip = image.pixelColor(int(second.left) + 4, STRIP // 2)
    assert strip == QColor(theme.accent)


def test_a_clip_is_dragged_into_the_lane_of_another_track(two_tracks):
    person = two_tracks
    person.desk.view.chosen.focus(person.session.tracks[0].id)
    person.settle()
    (below,) = person.window.timeline.context_lanes
    lane, whole = wave(person), frame(person, 0)
    start = QPoint(round(whole.left) + 60, STRIP // 2)
    there = lane.mapFromGlobal(below.mapToGlobal(QPoint(start.x(), 20)))

    person.drag(lane, (start.x(), start.y()), (there.x(), there.y()), modifier=ALT)

    assert sorted(len(track.clips) for track in person.session.tracks) == [0, 2]
    assert len({clip.recording for clip in person.session.tracks[1].clips}) == 2
    person.settle()


def test_tracks_and_clips_by_the_table(reworking, monkeypatch):
    """Names, phase, order, a line later, every bar, closing a gap."""
    run = reworking.window.actions_table.run
    monkeypatch.setattr(QInputDialog, "getText", lambda *_, **__: ("  Verse ", True))
    monkeypatch.setattr(QInputDialog, "getInt", lambda *_, **__: (2, True))
    track = reworking.session.tracks[0].id
    reworking.desk.view.chosen.choose_clips(((track, clips(reworking)[1].id),))

    reworking.desk.store.apply(lambda s: set_tighten(s, track, strength=0.0), "As played")

    run("rename-clip")
    assert clips(reworking)[1].name == "Verse"
    before, step = windows(reworking)[1][0], reworking.desk.view.grid.step
    run("clip-later")
    later = reworking.session.tempo.beat_of(windows(reworking)[1][0] / reworking.session.rate) / step
    assert windows(reworking)[1][0] > before
    assert later == pytest.approx(round(later), abs=0.01)
    run("clip-earlier")
    run("repeat")
    assert len(clips(reworking)) == 4
    run("delete-close")
    run("flip")
    assert reworking.session.tracks[0].is_flipped
    run("add-track")
    assert [len(each.clips) for each in reworking.session.tracks][1:] == [0]
    run("track-up")
    assert reworking.session.tracks[1].id == track
    reworking.desk.view.chosen.focus(track)
    run("split-bars")
    assert len(clips(reworking, 1)) > 3
    reworking.settle()


def test_a_reversed_clip_is_drawn_and_heard_from_its_end_and_trimmed_at_the_edge_that_is_taken(reworking):
    place = frame(reworking, 1).place
    start, end = windows(reworking)[1]
    middle = slice(start + 400, end - 400)
    before = reworking.offline(end, Side.EDITED)
    shape = [np.add(*columns_of(reworking, slice(start, end)))]
    reworking.desk.view.chosen.choose_clips((place,))

    reworking.press(Qt.Key.Key_R)
    reworking.settle()

    heard = reworking.offline(end, Side.EDITED)
    np.testing.assert_array_equal(heard[middle], before[start:end][::-1][400:-400])
    turned = np.add(*columns_of(reworking, slice(start, end)))
    assert np.corrcoef(turned, shape[0][::-1])[0, 1] > 0.9 > np.corrcoef(turned, shape[0])[0, 1]
    lane, clip = wave(reworking), frame(reworking, 1)
    reworking.drag(lane, (clip.left, 60), (clip.left + 70, 60), modifier=ALT)
    assert windows(reworking)[1][1] == end
    assert windows(reworking)[1][0] == pytest.approx(lane.frame_of(clip.left + 70), abs=lane_pixel(reworking))
    assert clips(reworking)[1].tail > 0
    reworking.settle()


def columns_of(person, frames):
    """Heights of the drawn wave over the clip: where ink begins and ends in each column, as a share."""
    edges = np.linspace(frames.start, frames.stop, 60)
    low, high = track_columns(
        wave(person).clips, person.desk.recordings.pool.ready(), edges, person.desk.bands
    )
    return high, -low


def lane_pixel(person):
    return person.desk.view.sight.viewport.frames_per_pixel


def test_grouped_clips_are_chosen_and_moved_together_until_they_are_ungrouped(reworking):
    reworking.press(Qt.Key.Key_A, CONTROL)
    reworking.press(Qt.Key.Key_G, CONTROL)
    lane, second = wave(reworking), frame(reworking, 1)
    reworking.desk.view.chosen.choose_clips(())

    reworking.bot.mouseClick(lane, Qt.MouseButton.LeftButton, pos=QPoint(round(second.left) + 40, 8))
    assert len(reworking.desk.view.chosen.clips) == 2
    reworking.press(Qt.Key.Key_D, CONTROL)
    groups = [clip.group for clip in clips(reworking)]
    assert sorted(map(groups.count, groups)) == [2, 2, 2, 2]
    assert 0 not in groups
    reworking.bot.mouseClick(lane, Qt.MouseButton.LeftButton, SHIFT, pos=QPoint(round(second.left) + 40, 8))
    assert len(reworking.desk.view.chosen.clips) == 4
    reworking.press(Qt.Key.Key_G, CONTROL | SHIFT)
    assert {clip.group for clip in clips(reworking)} == {0}
    reworking.settle()


def test_a_clip_is_pasted_into_another_session_with_its_recording(reworking, tmp_path):
    track = reworking.session.tracks[0].id
    reworking.desk.store.apply(lambda s: set_tighten(s, track, strength=0.0), "As played")
    reworking.settle()
    whole, content = windows(reworking)[0], clips(reworking)[0].recording
    sound = reworking.offline(whole[1], Side.EDITED)[whole[0] + 400 : whole[1] - 400]
    marks = reworking.session.recordings[0].onsets
    reworking.desk.view.chosen.choose_clips((frame(reworking, 0).place,))
    reworking.press(Qt.Key.Key_C, CONTROL)

    reworking.desk.document.new()
    reworking.press(Qt.Key.Key_V, CONTROL)
    assert reworking.session.tracks == ()
    reworking.window.actions_table.run("add-track")
    reworking.desk.view.show_stage(Stage.REWORK)
    reworking.press(Qt.Key.Key_V, CONTROL)
    reworking.settle()

    (recording,) = reworking.session.recordings
    assert (recording.content, recording.onsets) == (content, marks)
    assert windows(reworking)[0][0] == 0
    again = reworking.offline(whole[1] - whole[0], Side.EDITED)
    np.testing.assert_allclose(again[400 : len(sound) + 400], sound, atol=1e-6)
    reworking.desk.document.save(tmp_path / "pasted")
    reworking.settle()
    assert (tmp_path / "pasted" / "audio" / recording.file).is_file()


def test_a_track_is_dragged_by_its_header_and_made_taller_by_its_foot(two_tracks):
    person = two_tracks
    run, session = person.window.actions_table.run, person.session
    run("add-track")
    person.desk.view.chosen.focus(session.tracks[0].id)
    first, second, third = (track.id for track in person.session.tracks)
    lane, last = person.window.timeline.context_lanes
    there = lane.mapFromGlobal(last.mapToGlobal(QPoint(30, 50)))

    person.drag(lane, (30, 10), (there.x(), there.y()))
    assert [track.id for track in person.session.tracks] == [first, third, second]
    assert person.desk.view.chosen.focused.id == first

    lane = person.window.timeline.context_lanes[0]
    person.drag(lane, (30, lane.height() - 2), (30, lane.height() + 45))
    assert person.session.track(third).size is TrackSize.TALL
    assert lane.height() == HEIGHTS[TrackSize.TALL]
    person.drag(lane, (30, lane.height() - 2), (30, 5), release=False)
    assert lane.height() == HEIGHTS[TrackSize.FOLDED]
    person.press(Qt.Key.Key_Escape)
    assert lane.height() == HEIGHTS[TrackSize.TALL]
    run("fold")
    assert {track.size for track in person.session.tracks[1:]} == {TrackSize.FOLDED}
    run("fold")
    run("track-lower")
    assert person.desk.view.chosen.focused.size is TrackSize.LOW
    person.click(lane, (30, 8))
    assert person.desk.view.chosen.focused.id == third
    person.settle()


def test_a_track_is_named_where_its_name_stands(two_tracks):
    lane = wave(two_tracks)
    two_tracks.double_click(lane, (20, 12))
    editor = lane.findChild(TypedName)
    two_tracks.bot.keyClicks(editor, "Snare s1")
    two_tracks.bot.keyClick(editor, Qt.Key.Key_Return)

    assert two_tracks.desk.view.chosen.focused.name == "Snare s1"
    assert two_tracks.desk.store.history.undo_label == "Rename track"
    two_tracks.settle()


def test_a_range_over_two_tracks_is_cut_copied_looped_and_deleted_in_one_step(two_tracks):
    person = two_tracks
    person.desk.view.chosen.focus(person.session.tracks[0].id)
    person.settle()
    (below,) = person.window.timeline.context_lanes
    lane, session = wave(person), person.session
    step = person.desk.view.grid.step
    edges = [session.tempo.seconds_of(beat) * session.rate for beat in (1.0, 1.0 + 2 * step)]
    left, right = (lane.x_of(edge) for edge in edges)
    there = lane.mapFromGlobal(below.mapToGlobal(QPoint(round(right) + 1, 30)))
    before = person.offline(90000, Side.EDITED)
    whole = person.session

    person.drag(lane, (left + 2, 100), (there.x(), there.y()))
    span = person.desk.view.chosen.range
    assert (span.start, span.end) == pytest.approx(edges, abs=1)
    assert span.tracks == tuple(track.id for track in session.tracks)
    image = below.grab().toImage()
    assert image.pixelColor(round((left + right) / 2), 50) != image.pixelColor(round(right) + 30, 50)

    person.press(Qt.Key.Key_X)
    assert [len(clips(person, track)) for track in (0, 1)] == [3, 3]
    person.settle()
    np.testing.assert_array_equal(person.offline(90000, Side.EDITED), before)
    person.press(Qt.Key.Key_Z, CONTROL)
    person.press(Qt.Key.Key_L, SHIFT)
    assert person.session.loop.end - person.session.loop.start == pytest.approx(2 * step, abs=1e-4)
    person.press(Qt.Key.Key_C, CONTROL)
    assert person.session.tracks == whole.tracks
    person.desk.transport.go_to(8 * session.rate)
    person.press(Qt.Key.Key_V, CONTROL)
    assert [windows(person, track)[-1][0] for track in (0, 1)] == pytest.approx(
        [8 * session.rate] * 2, abs=1000
    )
    person.desk.view.chosen.choose_range(span)
    person.press(Qt.Key.Key_Delete)
    person.settle()
    assert not person.offline(span.end, Side.EDITED)[span.start + 300 : span.end - 300].any()
    person.desk.view.chosen.choose_range(span)
    person.press(Qt.Key.Key_Escape)
    assert person.desk.view.chosen.range is None


def test_places_to_check_are_gone_through_clip_by_clip(reworking):
    """A copy has places of its own: after the last of one clip comes the first of the next."""
    person = reworking
    track = person.session.tracks[0].id
    person.desk.store.apply(lambda s: set_tighten(s, track, strength=1.0), "Tighten")
    person.press(Qt.Key.Key_J, CONTROL)
    onset = person.session.recordings[0].onsets.ids[5]
    content = person.session.recordings[0].content
    person.desk.store.apply(
        lambda s: move_onset(s, content, onset, 5 * 12000 + 1200 + 5800), "Between two lines"
    )
    person.desk.view.chosen.choose_clips((frame(person, 0).place,))
    person.press(Qt.Key.Key_D, CONTROL)
    person.desk.view.show_stage(Stage.TIGHTEN)
    first, second = clips(person)
    person.desk.view.chosen.choose_clips(((track, first.id),))
    assert first.take is not second.take

    seen = []
    for _ in range(6):
        person.press(Qt.Key.Key_N)
        seen.append((person.desk.view.chosen.clip.id, person.desk.view.chosen.onset))

    assert (first.id, onset) in seen
    assert (second.id, onset) in seen
    assert len(set(seen)) < 6
    person.settle()


def test_a_clip_has_a_recipe_of_its_own_and_its_neighbour_keeps_the_track_s(reworking):
    person, track = reworking, reworking.session.tracks[0].id
    person.press(Qt.Key.Key_J, CONTROL)
    person.desk.view.chosen.choose_clips((frame(person, 0).place,))
    person.press(Qt.Key.Key_D, CONTROL)
    person.desk.view.show_stage(Stage.TIGHTEN)
    first, second = clips(person)
    person.desk.view.chosen.choose_clips(((track, second.id),))
    tray = person.window.trays[Stage.TIGHTEN]
    before = [
        targets_of(person.session, person.session.tracks[0], clip.take).target for clip in (first, second)
    ]

    person.window.actions_table.run("own-recipe")
    tray.strength.set_value(50)
    tray.strength.settled.emit(100.0)

    whole = person.session.tracks[0]
    assert [whole.recipe_of(clip.take).strength for clip in whole.clips] == [0.5, 1.0]
    after = [targets_of(person.session, whole, clip.take).target for clip in whole.clips]
    np.testing.assert_array_equal(after[0], before[0])
    assert np.abs(after[1] - before[1]).max() > 100
    assert tray.about.text() == "this clip only"
    person.desk.view.chosen.choose_clips(((track, first.id),))
    assert tray.about.text() != "this clip only"
    person.desk.view.chosen.choose_clips(((track, second.id),))
    person.window.actions_table.run("own-recipe")
    assert person.session.tracks[0].clips[1].take.tighten is None
    person.settle()


def test_a_range_that_is_duplicated_takes_the_place_of_what_was_there(reworking):
    person, rate = reworking, reworking.session.rate
    track = person.session.tracks[0].id
    person.desk.store.apply(lambda s: set_tighten(s, track, strength=0.0), "As played")
    person.settle()
    before = person.offline(2 * rate, Side.EDITED)
    start, length = round(person.session.frame_of(1.0)), round(0.5 * rate)
    person.desk.view.chosen.choose_range(Range(start, start + length, (track,)))

    person.press(Qt.Key.Key_D, CONTROL)
    person.settle()

    heard = person.offline(2 * rate, Side.EDITED)
    soft = round(0.004 * rate)
    inside = slice(start + length + soft, start + 2 * length - soft)
    np.testing.assert_allclose(heard[inside], before[start + soft : start + length - soft], atol=1e-6)
    after = slice(start + 2 * length + soft, 2 * rate)
    np.testing.assert_array_equal(heard[after], before[after])
    assert person.desk.view.chosen.range == Range(start + length, start + 2 * length, (track,))


@pytest.mark.parametrize("lane_of", [lambda timeline: timeline.wave, lambda timeline: timeline.ruler])
def test_in_a_reversed_clip_a_hit_follows_the_hand(reworking, lane_of):
    person, track = reworking, reworking.session.tracks[0].id
    person.press(Qt.Key.Key_J, CONTROL)
    person.desk.view.chosen.choose_clips((frame(person, 0).place,))
    person.press(Qt.Key.Key_R)
    person.desk.view.show_stage(Stage.TIGHTEN)
    person.desk.view.sight.fit()
    person.settle()
    lane, shown = lane_of(person.window.timeline), person.desk.shown
    at = 7
    onset, x = int(shown.targets.onsets[at]), float(lane.xs_of(shown.landings)[at])
    y = 4 if lane is person.window.timeline.wave else lane.height() - 6

    person.drag(lane, (x, y), (x + 12, y), modifier=ALT)
    person.settle()

    now = person.desk.shown
    place = int(np.flatnonzero(now.targets.onsets == onset)[0])
    assert float(lane.xs_of(now.landings)[place]) == pytest.approx(x + 12, abs=1.5)
    assert float(lane.xs_of(now.hits)[place]) == pytest.approx(x + 12, abs=1.5)
    assert person.session.track(track).clips[0].take.touch_of(onset) is not None
    before = now.landings[place]
    person.press(Qt.Key.Key_Down)
    assert person.desk.shown.landings[place] > before
