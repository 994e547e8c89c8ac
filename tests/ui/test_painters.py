"""What is painted is on the picture: at the places where it belongs, and nothing of it is empty."""

import inspect

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QColor

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.render.mix import Side
from chronotome.session.checks import checks_of
from chronotome.session.edits.clips import set_clip, split
from chronotome.session.edits.fitting import bar_is_here
from chronotome.session.edits.fixes import hush
from chronotome.session.edits.marks import add_onset
from chronotome.session.edits.matching import match_to
from chronotome.session.edits.metre import set_metre_from
from chronotome.session.edits.patterns import shape_steps
from chronotome.session.edits.sections import add_section
from chronotome.session.edits.shaping import set_scatter
from chronotome.session.edits.slicing import At, Cuts, take_apart
from chronotome.session.edits.tempo import set_tempo, set_tempo_from
from chronotome.session.edits.tightening import Scope, move_hit, set_recipe, set_tighten
from chronotome.session.edits.timing import set_beat_one, set_loop
from chronotome.session.edits.tracks import set_level, set_moving
from chronotome.session.grid import Grid
from chronotome.session.metre import Metre
from chronotome.session.model import MuteSpan
from chronotome.session.slices import Scatter
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline import drift_lane, wave_lane
from chronotome.ui.timeline.clip_frames import STRIP, frames_in
from chronotome.ui.timeline.lane import HEADER, Lane
from sounds import noise_hits, write

RATE, STEP = 48000, 12000


@pytest.fixture
def flams(person, tmp_path):
    """Sixteen strokes at 120 bpm, every fourth with a grace note 25 ms before it, one between two lines."""
    strokes = [2400 + place * STEP + (0, 700, 0, -600)[place % 4] for place in range(16)]
    strokes[9] += 3200
    graces = [stroke - 1200 for stroke in strokes[::4]]
    sound = noise_hits(sorted([*strokes, *graces]), 17 * STEP, rate=RATE)
    other = noise_hits(strokes, 17 * STEP, rate=RATE, seed=4)
    person.folder = tmp_path
    person.window.open([write(tmp_path / "flams.wav", sound, rate=RATE)])
    person.settle()
    person.window.open([write(tmp_path / "other.wav", other, rate=RATE)])
    person.settle()
    track = person.session.tracks[0].id
    apply = person.desk.store.apply
    content = person.session.recordings[0].content
    for frame in (*graces, *strokes[::4]):
        apply(lambda s, frame=frame: add_onset(s, content, frame), "Mark")
    apply(lambda s: set_beat_one(set_tempo(s, 120.0), 2400 / RATE), "Fit")
    apply(lambda s: set_tighten(s, track, strength=1.0, grid=Grid(8)), "Tighten")
    person.desk.view.chosen.focus(track)
    person.desk.view.sight.fit()
    person.settle()
    return person


def picture(lane):
    image = lane.grab().toImage()
    return np.array(image.constBits(), np.uint8).reshape(image.height(), image.width(), 4).copy()


def is_colour(lane, x, y, value):
    return lane.grab().toImage().pixelColor(round(x), round(y)) == QColor(value)


def darkness(lane, x, y):
    """From 0, white, to 255: the darkest of the pixels around a place."""
    image = picture(lane)[round(y) - 1 : round(y) + 2, round(x) - 1 : round(x) + 2, :3]
    return 255 - int(image.mean(axis=2).min())


def test_a_notch_is_dark_where_a_hit_is_and_paper_between_two(flams):
    flams.desk.view.show_stage(Stage.MARK)
    lane, shown = flams.window.timeline.wave, flams.desk.shown
    xs = lane.xs_of(shown.hits)
    between = (xs[6] + xs[7]) / 2

    assert all(darkness(lane, x, 4) > 150 for x in xs[5:8])
    assert darkness(lane, between, 4) < 60


def test_a_bar_lies_over_the_notches_of_one_stroke_and_nowhere_else(flams):
    flams.desk.view.show_stage(Stage.TIGHTEN)
    flams.desk.view.sight.zoom(4.0)
    flams.settle()
    lane, shown = flams.window.timeline.wave, flams.desk.shown
    firsts, lasts = shown.targets.spans
    xs = lane.xs_of(shown.hits)
    middles = [x for x in (xs[firsts] + xs[lasts]) / 2 if HEADER + 20 < x < lane.width() - 20]
    single = np.setdiff1d(np.arange(len(xs)), np.concatenate([firsts, lasts]))
    others = [x + 12 for x in xs[single] if HEADER + 20 < x < lane.width() - 40]

    assert len(firsts) == 4
    assert min(darkness(lane, x, 1.5) for x in middles) > 150
    assert max(darkness(lane, x, 1.5) for x in others) < 60


def test_what_is_stretched_is_hatched_along_the_foot_and_what_is_not_is_clean(flams):
    flams.desk.view.show_stage(Stage.TIGHTEN)
    flams.desk.view.sight.zoom(4.0)
    flams.settle()
    lane, (source, heard) = flams.window.timeline.wave, flams.desk.shown.anchors
    ratios, xs = np.diff(heard) / np.diff(source), lane.xs_of(heard)
    wide = (np.diff(xs) > 30) & (xs[:-1] > HEADER + 10) & (xs[1:] < lane.width() - 10)
    stretched = np.flatnonzero(wide & (np.abs(ratios - 1) > 0.03))
    foot = picture(lane)[-8:-4]

    def shades(span):
        columns = foot[:, round(xs[span]) + 3 : round(xs[span]) + 12, :3]
        return len(np.unique(columns.reshape(-1, 3), axis=0))

    assert min(shades(span) for span in stretched) > 1
    track = flams.session.tracks[0].id
    flams.desk.store.apply(lambda s: set_moving(s, track, by=MoveBy.CUTTING), "Slice at")
    flams.settle()
    foot = picture(lane)[-8:-4]
    assert max(shades(span) for span in stretched) == 1  # hits begin as played: only gaps before the next
    flams.desk.store.apply(lambda s: set_moving(s, track, by=MoveBy.STRETCHING), "Stretch")
    flams.desk.store.apply(lambda s: set_tighten(s, track, strength=0.0), "As played")
    flams.settle()
    foot = picture(lane)[-8:-4]
    assert max(shades(span) for span in stretched) == 1


def test_a_wash_lies_behind_what_is_to_be_checked_and_not_beside_it(flams):
    flams.desk.view.show_stage(Stage.TIGHTEN)
    flams.settle()
    lane, shown = flams.window.timeline.wave, flams.desk.shown
    checks = checks_of(flams.session, shown.track, shown.take)
    places = lane.xs_of(shown.heard_of_played(checks.played))
    hits = lane.xs_of(shown.hits)
    clear = [x for x in hits if np.abs(places - x).min() > 60]
    image = picture(lane)[40:60, :, :3].astype(int)

    def ochre(x):
        """How much more red than blue there is at most, a few pixels after a place."""
        columns = image[:, round(x) + 4 : round(x) + 8]
        return int((columns[..., 2] - columns[..., 0]).max())

    assert len(checks) > 0
    assert min(map(ochre, places)) > max(map(ochre, clear)) + 5


def painters():
    """Every painting method of every lane."""
    kinds, found = [Lane], set()
    while kinds:
        kind = kinds.pop()
        kinds += kind.__subclasses__()
        for name, method in vars(kind).items():
            if name.lstrip("_").startswith("paint") and name != "paintEvent" and inspect.isfunction(method):
                found.add((kind, name))
    return found - {(Lane, "paint_content"), (Lane, "paint_header")}


def states(person):
    """Everything that lanes can show, one after another."""
    view, store, window = person.desk.view, person.desk.store, person.window
    first = person.session.tracks[0]
    onsets = person.session.recordings[0].onsets
    store.apply(lambda s: set_loop(s, 1.0, 3.0), "Loop")
    store.apply(lambda s: add_section(s, "verse", 0.0, 4.0), "Section")
    store.apply(lambda s: move_hit(s, first.id, first.clips[0].id, onsets.ids[4], 2.1), "By hand")
    store.apply(lambda s: set_level(s, first.id, -3.0), "Softer")
    for stage in Stage:
        view.show_stage(stage)
        view.sight.fit()
        view.chosen.select(onsets.ids[4])
        person.settle()
        yield f"{stage.name}"
        view.sight.zoom(8.0)
        person.settle()
        yield f"{stage.name}, closer"
    yield from grooves(person, first)
    yield from fits(person, first)
    yield from arrangements(person, first)
    lane = window.timeline.wave
    below = window.timeline.context_lanes[0]
    below.gap = True
    yield "a gap"
    below.gap = None
    view.show_stage(Stage.MARK)
    person.drag(lane, (HEADER + 80, 100), (HEADER + 260, 100), release=False)
    yield "a sweep"
    person.press(Qt.Key.Key_Escape)
    x = float(lane.xs_of(person.desk.shown.hits)[6])
    person.drag(lane, (x, 4), (x + 30, 4), release=False)
    yield "a mark that is dragged"
    person.press(Qt.Key.Key_Escape)
    yield from patterns(person)
    person.desk.recordings.pool.sources.pop(person.session.recordings[0].content)
    yield "a recording that is not there"


def grooves(person, first):
    """What groove and match can show, and spans with a recipe of their own."""
    view, store, window = person.desk.view, person.desk.store, person.window
    view.show_stage(Stage.TIGHTEN)
    view.sight.fit()
    first, other = person.session.tracks[:2]
    store.apply(lambda s: set_recipe(s, first.id, None, Scope(span=(2.0, 4.0)), strength=0.5), "Range")
    take = first.takes[0]
    store.apply(lambda s: hush(s, first.id, take, [MuteSpan(4 * STEP, 6 * STEP)]), "Silence")
    view.show_evidence(Stage.TIGHTEN, "groove")
    person.settle()
    yield "no groove"
    window.actions_table.run("take-groove")
    person.settle()
    lane = window.timeline.evidence["groove"]
    view.show_groove(person.desk.groove.id, 0)
    x = lane.xs_of(np.array([person.session.frame_of(4.0)]))[0]
    person.move(lane, QPoint(round(x), 60), Qt.KeyboardModifier.NoModifier)
    yield "a groove"
    view.chosen.focus(other.id)
    view.show_evidence(Stage.TIGHTEN, "match")
    yield "no match"
    store.apply(lambda s: match_to(s, other.id, None, first.id), "Match")
    person.settle()
    person.desk.transport.go_to(person.session.frame_of(3.0))
    yield "a match"
    view.chosen.focus(first.id)
    view.show_evidence(Stage.TIGHTEN, "loudness")
    store.apply(lambda s: set_tighten(s, first.id, loudness=0.8), "Even")
    person.settle()
    yield "loudness"
    view.show_evidence(Stage.TIGHTEN, "drift")


def fits(person, first):
    """What the lane of Fit, and crowds of marks, can show."""
    view, store, window = person.desk.view, person.desk.store, person.window
    view.sight.fit()
    view.show_stage(Stage.FIT)
    pulse = window.timeline.evidence["pulse"]
    x = float(pulse.xs_of(np.array([person.session.frame_of(4.0)]))[0])
    person.drag(pulse, (x, 8), (x + 25, 8), release=False)
    yield "a beat that is dragged"
    person.press(Qt.Key.Key_Escape)
    store.apply(lambda s: bar_is_here(s, first.id, 9, 100_000), "Bar 9")
    yield "bars that jump"
    person.window.open([write(person.folder / "silence.wav", np.zeros((RATE, 1), np.float32), rate=RATE)])
    person.settle()
    view.chosen.focus(person.session.tracks[-1].id)
    person.settle()
    yield "a recording without beats"
    view.chosen.focus(first.id)
    view.show_stage(Stage.MARK)
    with pytest.MonkeyPatch.context() as few:
        few.setattr(wave_lane, "MOST_NOTCHES", 3)
        yield "more notches than can be told apart"
    view.show_stage(Stage.TIGHTEN)
    store.apply(lambda s: set_metre_from(set_tempo_from(s, 2.0, 110.0), 1, Metre(3, 4)), "Tempo")
    yield "a tempo and a metre that change"
    store.undo()
    with pytest.MonkeyPatch.context() as few:
        few.setattr(drift_lane, "MOST_MARKS", 3)
        yield "more hits than have room for large marks"


def arrangements(person, first):
    """What clips, and ranges over them, can show."""
    view, store, window = person.desk.view, person.desk.store, person.window
    view.show_stage(Stage.REWORK)
    middle = round(2.0 * RATE)
    store.apply(lambda s: split(s, first.id, [middle]), "Slice at")
    clips = person.session.tracks[0].clips
    store.apply(lambda s: set_clip(s, [(first.id, clips[0].id)], fade_in=0.5), "Fade")
    person.settle()
    yield "a fade"
    lane = window.timeline.wave
    person.drag(lane, (HEADER + 80, 100), (HEADER + 260, 100))
    yield "a range"
    view.chosen.choose_range(None)
    place = (first.id, person.session.tracks[0].clips[0].id)
    store.apply(lambda s: take_apart(s, place, Cuts()), "Slice")
    ids = person.session.tracks[0].clips[0].take.slices.ids
    store.apply(lambda s: set_scatter(s, place, ids[::2], Scatter(loudness=12.0)), "Random")
    person.settle()
    view.chosen.choose_hits(place, ids[1:3])
    shape = window.timeline.evidence["shape"]
    starts = window.timeline.wave.clips[0].plan.sliced.starts
    person.click(shape, (float(shape.xs_of(starts[1:2])[0]), shape.height() / 3))
    person.move(shape, QPoint(round(float(shape.xs_of(starts[1:2])[0])), shape.height() // 3), Qt.NoModifier)
    yield "hits that were taken apart, one drawn louder"
    person.desk.transport.listen(Side.AS_PLAYED)
    yield "as played, with nothing to shape"
    person.desk.transport.listen(Side.EDITED)


def patterns(person):
    """What a pattern and its kit can show."""
    view, store, window = person.desk.view, person.desk.store, person.window
    view.show_stage(Stage.REWORK)
    track = person.session.tracks[1]
    view.chosen.focus(track.id)
    store.apply(lambda s: take_apart(s, (track.id, track.clips[0].id), Cuts(At.LINES, step=0.125)), "Slice")
    for action in ("put-on-keys", "pattern", "rounds-more"):
        window.actions_table.run(action)
        person.settle()
    view.sight.fit()
    lane, shape = window.timeline.evidence["pattern"], window.timeline.evidence["step_shape"]
    ids = person.session.patterns[-1].ids
    for name, value in (("chances", 0.5), ("repeats", 4), ("loudness", -9.0)):
        store.apply(lambda s, n=name, v=value: shape_steps(s, s.patterns[-1].id, ids[5:9], n, v), "Shape")
    view.chosen.choose_hits(view.chosen.place, ids[5:7])
    person.settle()
    where = person.session.frame_of(view.chosen.clip.take.beat + person.session.patterns[-1].places[5])
    person.move(shape, QPoint(round(float(shape.x_of(where))) + 2, 20), Qt.KeyboardModifier.NoModifier)
    yield "a pattern, two rounds of it"
    person.drag(lane, (HEADER + 200, 30), (HEADER + 260, 30), release=False)
    yield "steps that are drawn"
    person.press(Qt.Key.Key_Escape)
    view.chosen.focus(person.session.tracks[0].id)


NOTHING = {("OverviewStrip", "_paint_playhead")}
"""Left empty on purpose: the strip draws its own with its content."""


def test_every_painter_leaves_something_on_the_picture(flams, monkeypatch):
    unseen = {(kind, name) for kind, name in painters() if (kind.__name__, name) not in NOTHING}
    for _ in states(flams):
        lanes = [lane for lane in flams.window.findChildren(Lane) if lane.isVisible()]
        whole = {lane: picture(lane) for lane in lanes}
        for kind, name in sorted(unseen, key=str):
            for lane in (each for each in lanes if isinstance(each, kind)):
                with monkeypatch.context() as emptied:
                    emptied.setattr(kind, name, lambda *_, **__: 0)
                    if not np.array_equal(picture(lane), whole[lane]):
                        unseen.discard((kind, name))
                        break

    assert "\n".join(sorted(f"{kind.__name__}.{name}" for kind, name in unseen)) == ""


@pytest.mark.parametrize("crowded", [3, 400])
def test_early_and_late_keep_their_colours_however_many_there_are(flams, monkeypatch, crowded):
    flams.desk.view.show_stage(Stage.TIGHTEN)
    monkeypatch.setattr(drift_lane, "MOST_MARKS", 3)
    monkeypatch.setattr(drift_lane, "CROWDED", crowded)
    lane, shown, theme = flams.window.timeline.evidence["drift"], flams.desk.shown, flams.desk.view.theme
    xs, played, _ = lane._points(shown, lane._scale(shown))
    drift, alone = shown.targets.drift, shown.recipe.leave_alone
    pixels = picture(lane)
    for at in np.flatnonzero(np.abs(drift) > alone + 1).tolist():
        value = QColor(theme.early if drift[at] < 0 else theme.late)
        x, y = round(xs[at]), round(played[at])
        around = pixels[y - 2 : y + 3, x - 2 : x + 3, :3].reshape(-1, 3).tolist()
        assert [value.blue(), value.green(), value.red()] in around, drift[at]


def test_a_fade_is_drawn_along_its_curve(flams):
    """Equal power: a third of the way in it is half as loud."""
    track = flams.session.tracks[0]
    flams.desk.view.show_stage(Stage.REWORK)
    flams.settle()
    lane = flams.window.timeline.wave
    plain = picture(lane)
    place = (track.id, track.clips[0].id)
    flams.desk.store.apply(lambda s: set_clip(s, [place], fade_in=1.5), "Fade")
    flams.settle()

    frame = next(frames_in(lane, lane.clips))
    fade = frame.shown.plan.fade_in
    xs = lane.xs_of(fade.start + np.array([1 / 3, 2 / 3]) * (fade.end - fade.start))
    foot, top = lane.height() - 4.0, float(STRIP)
    ys = foot - np.sin(np.pi / 2 * np.array([1 / 3, 2 / 3])) * (foot - top)

    assert all(darkness(lane, x, y) > 120 for x, y in zip(xs, ys, strict=True))
    assert not np.array_equal(picture(lane), plain)
