"""What acts on a clip or a track is shown where it acts, told in words, and one click from its setting."""

import numpy as np
import pytest
from PySide6.QtCore import QPointF

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.session.edits.clips import set_clip
from chronotome.session.edits.rhythm import set_crossover
from chronotome.session.edits.tightening import Scope, set_recipe
from chronotome.session.edits.tracks import lock, set_flipped
from chronotome.session.model import Crossover, MuteSpan, replace
from chronotome.session.settings import Moving, TightenSettings
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.badges import clip_badges, track_badges
from chronotome.ui.timeline.clip_frames import STRIP, badges_of, frames_in
from chronotome.ui.timeline.lane import HEADER
from sounds import noise_hits, write


@pytest.fixture
def marked(at_work, tmp_path):
    """Everything acts on the first of two locked tracks, which was bounced from the second."""
    write(tmp_path / "other.wav", noise_hits([3000, 60000], 200000, rate=48000), rate=48000)
    at_work.window.open([tmp_path / "other.wav"])
    at_work.settle()
    first, second = (track.id for track in at_work.session.tracks)
    at_work.desk.view.chosen.focus(first)
    clip = at_work.session.tracks[0].clips[0]
    place = (first, clip.id)

    def edit(session):
        session = lock(session, first, [second])
        session = set_flipped(session, first, True)
        session = set_recipe(session, first, None, Scope(span=(0.0, 2.0)), strength=0.2)
        session = set_crossover(session, place, Crossover(300.0))
        take = replace(
            session.track(first).clip(clip.id).take,
            tighten=TightenSettings(),
            moving=Moving(by=MoveBy.CUTTING),
            hushes=(MuteSpan(5000, 6000),),
        )
        return set_clip(session, [place], take=take, is_muted=True, kept=second)

    at_work.desk.store.apply(edit, "All")
    at_work.desk.view.show_stage(Stage.REWORK)
    at_work.desk.view.sight.fit()
    at_work.settle()
    return at_work


def test_every_badge_tells_in_words_and_leads_to_its_setting(marked):
    window, session = marked.window, marked.session
    track = session.tracks[0]
    found = [*track_badges(session, track), *clip_badges(session, track.clips[0])]
    of_track, of_clip = ["guide", "inverted", "1 span"], ["muted", "below 300 Hz", "own settings"]
    assert [each.words for each in found] == [*of_track, *of_clip, "own method", "1 noise muted", "bounced"]
    for badge in found:
        assert len(badge.told) > len(badge.words)
        marked.desk.view.show_stage(Stage.MARK)
        marked.desk.view.want_setting(badge.stage, badge.control)
        focus = window.focusWidget()
        assert marked.desk.view.stage is badge.stage
        assert window.trays[badge.stage].isAncestorOf(focus), badge
        assert focus.isVisible(), badge


def test_a_badge_in_the_strip_of_a_clip_is_clicked_and_takes_nothing_of_the_drag(marked):
    lane = marked.window.timeline.wave
    frame = next(frames_in(lane, lane.clips))
    box, badge = next(each for each in badges_of(lane, frame) if each[1].words == "own settings")
    assert box.bottom() <= STRIP
    assert lane.told_at(box.center()) == badge.told
    assert lane.told_at(QPointF(HEADER + 2, 90)) == ""
    before = marked.session
    marked.click(lane, tuple(box.center().toPoint().toTuple()))
    assert marked.desk.view.stage is Stage.TIGHTEN
    assert marked.session is before
    assert marked.window.focusWidget().accessibleName() == "Use own settings"

    box, badge = next(each for each in lane.badges if each[1].words == "guide")
    marked.click(lane, tuple(box.center().toPoint().toTuple()))
    assert marked.desk.view.stage is Stage.REWORK

    second = marked.session.tracks[1].id
    marked.desk.view.chosen.focus(second)
    (above,) = marked.window.timeline.context_lanes
    ((box, badge),) = above.badges
    assert badge.words == "+8"
    assert "below 300 Hz" in above.told_at(box.center())


def test_a_wave_is_drawn_as_it_is_heard_through_a_crossover(marked):
    lane, place = marked.window.timeline.wave, marked.desk.view.chosen.place
    marked.desk.store.apply(lambda s: set_clip(s, [place], is_muted=False), "Unmute")
    marked.desk.store.apply(lambda s: set_crossover(s, place, None), "All")
    marked.settle()
    whole = ink(lane)
    marked.desk.store.undo()
    marked.wait(lambda: ink(lane) < 0.7 * whole)
    low = ink(lane)
    starts = lane.clips[0].heard_anchors[0]
    close = marked.desk.view.sight.viewport.fitted(starts + 1000, starts + 3000)
    marked.desk.view.sight.show(close)  # down to the samples: filtered as they are drawn
    near = ink(lane)
    marked.desk.store.apply(lambda s: set_crossover(s, place, Crossover(300.0, is_high=True)), "High")
    marked.wait(lambda: ink(lane) > 1.3 * near)
    marked.desk.view.sight.fit()
    assert ink(lane) > 1.3 * low


def ink(lane):
    """Dark pixels below the strip."""
    image = lane.grab().toImage()
    pixels = np.array(image.constBits(), np.uint8).reshape(image.height(), image.width(), 4)
    return int((pixels[STRIP + 20 : -30, HEADER + 20 : -20, :3].max(axis=2) < 130).sum())
