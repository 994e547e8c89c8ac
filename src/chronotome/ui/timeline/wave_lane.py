"""The focused track: its wave, the notches of its onsets, hatching where it is stretched."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QPointF, QRect, Qt
from PySide6.QtGui import QImage, QMouseEvent, QPainter, QPen

from chronotome.dsp.stretch.engines import MoveBy
from chronotome.render.mix import Side
from chronotome.render.plan import ClipPlan
from chronotome.render.pool import Source
from chronotome.session.anchors import engine_for
from chronotome.session.edits.marks import add_onset, drop_onset, keep_onset
from chronotome.session.edits.tracks import set_level
from chronotome.session.onsets import OnsetId
from chronotome.ui.commands.hits import HitCommands
from chronotome.ui.commands.marks import MarkCommands
from chronotome.ui.commands.slices import SliceCommands
from chronotome.ui.controls.typed import TypedFigure, numbers_only
from chronotome.ui.state.figures import counted, decibels, signed
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.badges import (
    Placed,
    badge_at,
    clip_badges,
    in_column,
    paint_badges,
    track_badges,
)
from chronotome.ui.timeline.clip_frames import STRIP, frames_in, paint_frames
from chronotome.ui.timeline.gestures import HitDrag, ValueDrag, is_free, take_hit
from chronotome.ui.timeline.hatching import paint_hatching
from chronotome.ui.timeline.hit_test import nearest_column
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.mark_drag import EndDrag, MarkDrag, SlipDrag
from chronotome.ui.timeline.marks import SMALL_NOTCH, notch, paint_dots, paint_each, paint_stems
from chronotome.ui.timeline.noises import drag_edge, edge_at, paint_noises
from chronotome.ui.timeline.slice_lane import SliceLane
from chronotome.ui.timeline.slice_marks import (
    FOOT,
    paint_rhythm,
    paint_slices,
)
from chronotome.ui.timeline.step_marks import paint_keys, paint_steps
from chronotome.ui.timeline.track_buttons import TrackButtons
from chronotome.ui.timeline.track_header import type_name
from chronotome.ui.timeline.track_wave import track_columns
from chronotome.ui.timeline.waveform import wave_image
from chronotome.words import tr

NOTCH = 9
LEVEL_ROW, NAME_ROW = 26, 24
EDGE_REACH = 8
NOTCH_ZONE = 16
"""Pixels at the top in which a notch can be taken."""
REACH = 7
PULL_PIXELS, PULL_SECONDS = 10, 0.030
"""How far a dragged mark is pulled to an attack."""
MOST_NOTCHES, CROWDED = 90, 4
"""More onsets than this in sight are small; ticks, where each has fewer pixels of the width."""
MOST_STEMS = 80
UNSEEN = 0.25
"""Of a pixel: a wave that moves by less is as it was drawn."""
"""More onsets than this in sight have no line through the wave."""
WAY_WORDS = {MoveBy.CUTTING: tr("Cutting"), MoveBy.STRETCHING: tr("Stretch"), MoveBy.TAPE: tr("Tape")}


class WaveLane(SliceLane):
    """The tall lane. Click: playhead. Drag a notch: move the hit, or in Mark the onset itself."""

    hint = tr("Click to set the playhead. Drag an onset to move its hit.")
    tighten_hint = tr(
        "Drag an onset to move its hit. Drag over the wave to select several.\n"
        "Shift+click selects more. Click sets the playhead."
    )
    shows_counts = True
    fit_hint = tr(
        "Click to set the playhead. Ctrl+drag the end to a bar line.\nThe recording then "
        "has that length in bars."
    )
    mark_hint = tr(
        "Click an onset to play its hit, drag to correct it. Double-click: add.\n"
        "Double-click an onset to delete it. Ctrl+drag slips the audio. Drag over the "
        "wave to select."
    )

    def __init__(
        self, desk: UiContext, marks: MarkCommands, hits: HitCommands, slices: SliceCommands
    ) -> None:
        super().__init__(desk, tr("Wave of the selected track"), lambda: desk.view.chosen.focused, slices)
        self._marks, self._hits = marks, hits
        self.setMinimumHeight(150)
        self._image: QImage | None = None
        self._image_key: tuple[object, ...] = ()
        self.buttons = TrackButtons(desk, self)
        self.buttons.move(12, 66)
        desk.view.chosen.focus_changed.connect(self._on_focus)
        desk.view.rhythm_changed.connect(self._update_content)
        desk.store.watch(self, self._on_focus, lambda s: s.tracks)
        desk.recordings.source_grew.connect(self._on_grew)
        desk.recordings.source_ready.connect(self._on_grew)
        desk.bands.found.connect(self._on_grew)
        self._on_focus()

    def _on_focus(self) -> None:
        track = self.desk.view.chosen.focused
        self.buttons.follow(None if track is None else track.id)
        self.update()

    def hint_now(self) -> str:
        hints = {
            Stage.MARK: self.mark_hint,
            Stage.FIT: self.fit_hint,
            Stage.TIGHTEN: self.tighten_hint,
            Stage.REWORK: self.clip_hint,
        }
        return hints.get(self.desk.view.stage, self.hint)

    def type_name(self) -> None:
        track = self.desk.view.chosen.focused
        if track is not None:
            type_name(self.desk, self, track.id)

    def _type_level(self) -> None:
        track = self.desk.view.chosen.focused
        if track is not None:
            box = QRect(8, self.height() - LEVEL_ROW, HEADER - 16, LEVEL_ROW - 4)

            def keep(level: float) -> None:
                self.desk.store.apply(lambda session: set_level(session, track.id, level), tr("Set level"))

            TypedFigure(self, box, decibels(track.level), numbers_only(keep), tr("Track level"))

    def _on_grew(self, _content: str) -> None:
        self._image_key = ()
        self.update()

    # Painting

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme = self.desk.view.theme
        painter.fillRect(content, colour(theme.card))
        shown = self.shown
        if shown is not None and self.desk.view.stage is Stage.TIGHTEN:
            checks = self.desk.checks(shown.track, shown.take)
            self.paint_washes(painter, shown.heard_of_played(checks.played), 150)
        self.paint_grid(painter, content)
        if shown is None:
            return
        needed = (shown.recording.content, *shown.plan.score.recordings)
        source = next(filter(None, map(self.desk.recordings.pool.get, needed)), None)
        if source is None:
            self._paint_absent(painter, content, shown)
            return
        clips = self.clips
        self._paint_wave(painter, content, clips, source)
        if self.desk.transport.side is Side.EDITED and self.desk.view.stage >= Stage.TIGHTEN:
            paint_noises(self, painter, clips, (NOTCH, self.height() - FOOT))
            for each in (
                each
                for each in clips
                if each.plan.patterned is None
                and (each.plan.sliced is None or self.desk.view.stage is not Stage.REWORK)
            ):
                paint_hatching(painter, self, each, (self.height() - FOOT + 2, self.height() - 3))
        if self.desk.view.stage is Stage.REWORK:
            for each in clips:
                paint_slices(painter, self, each, STRIP)
                paint_steps(painter, self, each, STRIP)
                paint_keys(painter, self, each)
            paint_rhythm(painter, self, STRIP)
            paint_frames(painter, self, clips, self.desk.view.chosen.clips)
            self.paint_range(painter)
        else:
            self._paint_notches(painter, shown)
            self._paint_edges(painter, clips)
        self.paint_sweep(painter)
        self._paint_drag_words(painter, shown)

    def _paint_absent(self, painter: QPainter, content: QRect, shown: Shown) -> None:
        words = tr("Reading {0}", shown.recording.file)
        if shown.recording.content in self.desk.recordings.stopped:
            words = tr("Reading {0} was cancelled. Choose File > Import > Read again.", shown.recording.file)
        if shown.recording.content in self.desk.recordings.lost:
            words = tr(
                "{0} is missing. Choose File > Import > Find missing recordings.", shown.recording.file
            )
        painter.setFont(text_font(13))
        painter.setPen(colour(self.desk.view.theme.soft_ink))
        painter.drawText(content, Qt.AlignmentFlag.AlignCenter, words)

    def _paint_edges(self, painter: QPainter, clips: Sequence[Shown]) -> None:
        """Where a track was cut or has several clips, their ends."""
        if len(clips) > 1:
            painter.setPen(QPen(colour(self.desk.view.theme.soft_ink), 1))
            foot = self.height() - FOOT
            xs = {x for frame in frames_in(self, clips) for x in (frame.left, frame.right)}
            painter.drawLines([QLineF(x, NOTCH, x, foot) for x in xs])

    def _paint_wave(self, painter: QPainter, content: QRect, clips: Sequence[Shown], source: Source) -> None:
        ratio = self.devicePixelRatioF()
        viewport, theme = self.desk.view.sight.viewport, self.desk.view.theme
        height = content.height() - FOOT - NOTCH
        look = (
            self.desk.transport.side,
            viewport,
            height,
            ratio,
            theme.name,
            source.is_whole,
            self.desk.recordings.pool,
        )
        plans = tuple(each.plan for each in clips)
        key = (look, plans)
        if self._image is None or (key != self._image_key and not self._is_as_drawn(look, plans)):
            lows, highs = track_columns(
                clips, self.desk.recordings.pool.sources, viewport.edges(ratio), self.desk.bands
            )
            self._image = wave_image(
                lows, highs, colour(theme.wave), height=max(8, int(height * ratio)), ratio=ratio
            )
            self._image_key = key if source.is_whole else ()
        painter.drawImage(QPointF(HEADER, NOTCH), self._image)

    def _is_as_drawn(self, look: tuple[object, ...], plans: tuple[ClipPlan, ...]) -> bool:
        """A hand moves, and by less than can be seen: the wave is drawn anew once it rests."""
        if not self.desk.store.is_drafting or self._image_key[:1] != (look,) or len(plans) != 1:
            return False
        if plans[0].sliced is not None or plans[0].patterned is not None:
            return False
        drawn, (plan,) = self._image_key[1], plans
        if not isinstance(drawn, tuple) or len(drawn) != 1 or not _is_alike(drawn[0], plan):
            return False
        moved = np.abs(drawn[0].score.heard - plan.score.heard).max()
        return bool(moved < UNSEEN * self.desk.view.sight.viewport.frames_per_pixel)

    def _visible(self, xs: NDArray[np.float64]) -> NDArray[np.int64]:
        return np.flatnonzero((xs > HEADER - 20) & (xs < self.width() + 20))

    def _paint_notches(self, painter: QPainter, shown: Shown) -> None:
        theme, view = self.desk.view.theme, self.desk.view
        onsets = shown.recording.onsets
        xs = self.xs_of(shown.onset_frames())
        counted = shown.counts
        visible = self._visible(xs)
        if view.stage is not Stage.MARK:
            visible = visible[counted[visible]]
        if len(visible) > MOST_NOTCHES:
            self._paint_small_notches(painter, shown, visible, xs)
            return
        self._paint_strokes(painter, shown)
        hand = {touch.onset for touch in shown.take.touches if touch.beat is not None}
        solid = visible[counted[visible]]
        if len(visible) <= MOST_STEMS:
            painter.setPen(QPen(colour(theme.ink, 110), 1, Qt.PenStyle.DotLine))
            foot = self.height() - FOOT
            painter.drawLines([QLineF(x, NOTCH, x, foot) for x in xs[solid].tolist()])
        by_hand = np.isin(onsets.id_array[solid], list(hand)) if hand else np.zeros(len(solid), bool)
        for chosen, value, is_solid in (
            (visible[~counted[visible]], theme.ink, False),
            (solid[~by_hand], theme.ink, True),
            (solid[by_hand], theme.accent, True),
        ):
            painter.setPen(QPen(colour(value), 1))
            painter.setBrush(colour(value) if is_solid else Qt.BrushStyle.NoBrush)
            paint_each(painter, notch, ((x, 0.0) for x in xs[chosen].tolist()), NOTCH - 1)
        locked = visible[onsets.lock_array[visible]]
        painter.setPen(QPen(colour(theme.ink), 1.6))
        painter.drawLines([QLineF(x - 4, NOTCH + 1, x + 4, NOTCH + 1) for x in xs[locked].tolist()])
        if view.chosen.onsets:
            chosen = visible[np.isin(onsets.id_array[visible], view.chosen.onsets)]
            painter.setPen(QPen(colour(theme.accent), 1.2))
            painter.setBrush(colour(theme.accent))
            paint_each(painter, notch, ((x, 0.0) for x in xs[chosen].tolist()), NOTCH - 1)
            painter.drawLines([QLineF(x, 0, x, self.height()) for x in xs[chosen].tolist()])

    def _paint_strokes(self, painter: QPainter, shown: Shown) -> None:
        """A bar over the notches that are one stroke: they are moved together."""
        firsts, lasts = shown.targets.spans
        if not len(firsts):
            return
        hits = shown.hits
        lefts, rights = self.xs_of(hits[firsts]), self.xs_of(hits[lasts])
        seen = np.flatnonzero((rights > HEADER) & (lefts < self.width()))
        painter.setPen(QPen(colour(self.desk.view.theme.ink), 2.5))
        pairs = zip(lefts[seen].tolist(), rights[seen].tolist(), strict=True)
        painter.drawLines([QLineF(left - 3, 1.5, right + 3, 1.5) for left, right in pairs])

    def _paint_small_notches(
        self, painter: QPainter, shown: Shown, visible: NDArray[np.int64], xs: NDArray[np.float64]
    ) -> None:
        """Far out they are small; where there are more than have room, ticks, and at last a band."""
        content, theme, onsets = self.content, self.desk.view.theme, shown.recording.onsets
        counted = shown.counts[visible]
        hand = [touch.onset for touch in shown.take.touches if touch.beat is not None]
        ids = onsets.id_array[visible]
        is_ours = np.isin(ids, [*hand, *self.desk.view.chosen.onsets])
        layers = [
            (xs[visible[some]], np.full(np.count_nonzero(some), 3.0), colour(value))
            for some, value in (
                (~counted, theme.strong_rule),
                (counted & ~is_ours, theme.ink),
                (is_ours, theme.accent),
            )
        ]
        size = content.width(), NOTCH
        if len(visible) * CROWDED > content.width():
            ticks = [(xs, ys - 3, value) for xs, ys, value in layers]
            paint_stems(painter, content.left(), (content.width(), NOTCH - 2), ticks, NOTCH - 3)
        else:
            paint_dots(painter, content.left(), size, [(*layer, SMALL_NOTCH) for layer in layers])

    def paint_header(self, painter: QPainter) -> None:
        track, theme = self.desk.view.chosen.focused, self.desk.view.theme
        if track is None:
            return
        session = self.desk.session
        self.name_header(track.name)
        y = self.paint_words(painter, 8, track.name, size=13, weight=600, value=theme.ink)
        shown = self.shown
        if shown is not None:
            name = shown.recording.file
            y = self.paint_words(painter, y, name, size=10, weight=400, value=theme.soft_ink)
        guide = session.track(session.guide_of(track.id))
        words = WAY_WORDS[guide.moving.by]
        leading = self.desk.view.leading
        take = guide.first_take if leading is None else leading[1]
        if take is not None:
            words = WAY_WORDS[guide.moving_of(take).by]
            pattern = session.pattern_of(take)
            if pattern is not None:
                words = counted(len(pattern), "step")
            elif guide.moving_of(take).by is MoveBy.STRETCHING:
                words += f" · {engine_for(session, guide, take).label}"
        self.paint_words(painter, y + 1, words, size=11, weight=500, value=theme.soft_ink)
        y = 98
        group = session.group_of(track.id)
        if group is not None:
            others = [session.track(each).name for each in group.tracks if each != track.id]
            y = self.paint_words(painter, y, tr("locked to"), size=10, weight=400, value=theme.soft_ink)
            self.paint_words(painter, y - 2, ", ".join(others), size=11, weight=400, value=theme.soft_ink)
        painter.setFont(figure_font(11))
        painter.setPen(colour(theme.soft_ink))
        painter.drawText(QPointF(12, self.height() - 10), decibels(track.level))
        paint_badges(painter, theme, self.badges)

    @property
    def badges(self) -> list[Placed]:
        """What acts on the track, and on the clip that is worked on, in the header."""
        track, clip, session = self.desk.view.chosen.focused, self.desk.view.chosen.clip, self.desk.session
        if track is None:
            return []
        found = [*track_badges(session, track), *(() if clip is None else clip_badges(session, clip))]
        top = 98 if session.group_of(track.id) is None else 134
        return in_column(found, 12, top, self.height() - 26)

    def told_at(self, place: QPointF) -> str:
        badge = badge_at(self.badges, place) if place.x() < HEADER else None
        return super().told_at(place) if badge is None else badge.told

    def _paint_drag_words(self, painter: QPainter, shown: Shown) -> None:
        """What moves under the hand, and what stays."""
        drag, selected = self.drag, self.desk.view.chosen.onset
        if isinstance(drag, HitDrag) and drag.has_moved:
            x, words = self._hit_words(shown, drag)
            self.paint_beside(painter, QPointF(x, NOTCH + 6), words)
        if not isinstance(drag, ValueDrag) or drag.value is None or drag.words is None or selected is None:
            return
        place = shown.recording.onsets.place_of(selected)
        if place is None:
            return
        x = self.x_of(shown.frame_shown(shown.recording.onsets.frames[place]))
        self.paint_beside(painter, QPointF(x, NOTCH + 6), drag.words(drag.value))

    def _hit_words(self, shown: Shown, drag: HitDrag) -> tuple[float, str]:
        """Where a dragged hit is on screen; how far from its line, and what the sound beside it becomes."""
        targets = shown.targets
        at = int(np.flatnonzero(targets.onsets == drag.onset)[0])
        ratios = [
            f"×{(targets.target[b] - targets.target[a]) / (targets.played[b] - targets.played[a]):.2f}"
            for a, b in ((at - 1, at), (at, at + 1))
            if a >= 0 and b < len(targets)
        ]
        words = "  ".join([f"{signed(float(targets.landing[at]))} ms", *ratios])
        return float(self.xs_of(shown.landings[at : at + 1])[0]), words

    # Mouse

    def offers_at(self, x: float, y: float) -> str:
        shown, stage = self.shown, self.desk.view.stage
        if x < HEADER or shown is None:
            return "track"
        if stage is Stage.REWORK:
            return self.offers_clip_at(x, y)
        place = self._notch_at(shown, x, y) if stage in {Stage.MARK, Stage.TIGHTEN} else None
        if place is None:
            if not self.desk.transport.is_playing:
                self._put_playhead(x)
            return {Stage.MARK: "mark", Stage.TIGHTEN: "tighten", Stage.FIT: "fit"}.get(stage, "")
        onset = int(shown.recording.onsets.ids[place])
        if onset not in self.desk.view.chosen.onsets:
            self.desk.view.chosen.select(onset)
        return "onset" if stage is Stage.MARK else "hit"

    def _press_header(self, place: QPointF) -> bool:
        """A badge of it leads to its setting; False beside the header."""
        badge = badge_at(self.badges, place) if place.x() < HEADER else None
        if badge is not None:
            self.desk.view.want_setting(badge.stage, badge.control)
        return place.x() < HEADER

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton or self._press_header(event.position()):
            return
        shown, x = self.shown, event.position().x()
        if self.desk.view.stage is Stage.REWORK:
            if not self.press_clip(event):
                self._put_playhead(x)
            return
        if shown is not None and not self.is_in(shown, x):
            self._go_to_clip_at(x)
            shown = self.shown
        place = None if shown is None else self._notch_at(shown, x, event.position().y())
        if shown is not None and place is not None:
            self._take(shown, place, x, event.modifiers())
        elif shown is not None and self._is_edge(shown, x, event.modifiers()):
            self.hold(EndDrag(self.desk, shown), self._move_end)
        elif shown is not None and (noise := self._noise_at(shown, x)) is not None:
            self.hold(drag_edge(self, shown, noise[0], is_end=noise[1]), self._move_noise)
        else:
            self._sweep_or_go(x, is_clip=shown is not None)

    def _sweep_or_go(self, x: float, *, is_clip: bool) -> None:
        """A click puts the playhead; in Mark and Tighten a drag chooses."""
        stage = self.desk.view.stage
        if stage is Stage.MARK:
            self.begin_sweep(x, lambda: self._put_playhead(x), self._marks.sweep)
        elif stage is Stage.TIGHTEN and is_clip:
            self.begin_sweep(x, lambda: self._put_playhead(x), self._hits.sweep)
        else:
            self._put_playhead(x)

    def _go_to_clip_at(self, x: float) -> None:
        """Work on the clip under the pointer from now on."""
        for each in self.clips:
            if self.is_in(each, x):
                self.desk.view.chosen.choose_clips(((each.track.id, each.clip.id),))

    def _noise_at(self, shown: Shown, x: float) -> tuple[int, bool] | None:
        """In Tighten, the edge of a noise that is not heard."""
        return edge_at(self, shown, x) if self.desk.view.stage is Stage.TIGHTEN else None

    def _is_edge(self, shown: Shown, x: float, keys: Qt.KeyboardModifier) -> bool:
        """In Fit, with Ctrl, the clip's end can be taken to a bar line."""
        if self.desk.view.stage is not Stage.FIT or not keys & Qt.KeyboardModifier.ControlModifier:
            return False
        return abs(x - self.x_of(float(shown.heard_anchors[-1]))) <= EDGE_REACH

    def _put_playhead(self, x: float) -> None:
        self.desk.view.chosen.select(None)
        self.desk.transport.go_to(self.frame_of(x))

    def _notch_at(self, shown: Shown, x: float, y: float) -> int | None:
        """Place in the onsets' columns of the notch under the pointer."""
        if y > NOTCH_ZONE:
            return None
        xs = self.xs_of(shown.onset_frames())
        if self.desk.view.stage is not Stage.MARK:
            counted = shown.counts
            xs = np.where(counted, xs, -1e9)
        return nearest_column(xs, x, reach=REACH)

    def _take(self, shown: Shown, place: int, x: float, keys: Qt.KeyboardModifier) -> None:
        onset = shown.recording.onsets.ids[place]
        if self.desk.view.stage is Stage.MARK:
            self._take_mark(shown, onset, x, keys)
            return
        at = np.flatnonzero(shown.targets.onsets == onset)
        if self.desk.view.stage is Stage.TIGHTEN and keys & Qt.KeyboardModifier.ShiftModifier:
            self._hits.add_or_drop(onset)
        elif not len(at):
            self.desk.view.chosen.select(onset)
        else:
            grip = x - float(self.xs_of(shown.landings[at])[0])
            holds = bool(keys & Qt.KeyboardModifier.ControlModifier)
            drag = take_hit(self.desk, shown, int(at[0]), grip=grip, holds=holds)
            self.hold(drag, self._move_hit)

    def _take_mark(self, shown: Shown, onset: OnsetId, x: float, keys: Qt.KeyboardModifier) -> None:
        """Shift: select up to it. Ctrl: slip the sound under it. Else hear it, and correct it by dragging."""
        if keys & Qt.KeyboardModifier.ShiftModifier:
            self._marks.extend_to(onset)
            return
        self.desk.view.chosen.select(onset)
        if keys & Qt.KeyboardModifier.ControlModifier:
            self._marks.slip_side()
            self.hold(SlipDrag(self.desk, shown, onset, self.frame_of(x)), self._slip)
        else:
            self._marks.hear(onset)
            self.hold(MarkDrag(self.desk, shown, onset), self._move_mark)

    def _mark_frame(self, shown: Shown, x: float, *, is_free: bool) -> int:
        """The frame of the recording that a mark under the pointer would have."""
        frame = shown.recording_frame(self.frame_of(x))
        per_pixel = self.desk.view.sight.viewport.frames_per_pixel / self.desk.session.rate
        reach = min(PULL_SECONDS, PULL_PIXELS * per_pixel)
        return frame if is_free else self._marks.pulled(shown, frame, reach=reach)

    def _move_hit(self, drag: HitDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        drag.to_beat(self.beat_of_x(event.position().x() - drag.grip), is_free=is_free(event))

    def _move_end(self, drag: EndDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        drag.to_beat(self.beat_of_x(event.position().x()))

    def _slip(self, drag: SlipDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        drag.to_frame(self.frame_of(event.position().x()))
        self.update()

    def _move_mark(self, drag: MarkDrag, event: QMouseEvent) -> None:
        self.edge_scroll.see(event)
        drag.to(self._mark_frame(drag.shown, event.position().x(), is_free=is_free(event)))
        self.update()

    def _move_noise(self, drag: ValueDrag, event: QMouseEvent) -> None:
        shown = self.shown
        self.edge_scroll.see(event)
        if shown is not None:
            drag.to(shown.recording_frame(self.frame_of(event.position().x())))

    def point_at(self, event: QMouseEvent) -> None:
        shown = self.shown
        if self.desk.view.stage is Stage.REWORK:
            self.point_at_clip(event)
        elif shown is not None:
            self._point_at(shown, event)

    def _point_at(self, shown: Shown, event: QMouseEvent) -> None:
        """Show what a press would take."""
        x = event.position().x()
        place = self._notch_at(shown, x, event.position().y())
        is_over = place is not None or self._is_edge(shown, x, event.modifiers())
        is_over = is_over or self._noise_at(shown, x) is not None
        if self.desk.view.stage is Stage.MARK:
            self.desk.view.point_at(None if place is None else shown.recording.onsets.ids[place])
        self.setCursor(Qt.CursorShape.SizeHorCursor if is_over else Qt.CursorShape.ArrowCursor)

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        """In Mark: add an onset, or drop or keep the one under the pointer. On the level: type it."""
        shown, x = self.shown, event.position().x()
        if x < HEADER and event.position().y() > self.height() - LEVEL_ROW:
            self._type_level()
        if x < HEADER and event.position().y() < NAME_ROW:
            self.type_name()
        if shown is not None and x >= HEADER and self.desk.view.stage is Stage.TIGHTEN:
            self._hits.tie_at(self.frame_of(x))
        if shown is None or x < HEADER or self.desk.view.stage is not Stage.MARK:
            return
        content = shown.recording.content
        place = self._notch_at(shown, x, event.position().y())
        if place is None:
            frame = self._mark_frame(shown, x, is_free=is_free(event))
            self.desk.store.apply(lambda session: add_onset(session, content, frame), tr("Add onset"))
            return
        toggle_onset(self.desk, shown, place)


def _is_alike(drawn: ClipPlan, plan: ClipPlan) -> bool:
    """Whether two plans differ in nothing but where their anchors sound."""
    shape, other = (each.window.last - each.window.first for each in (drawn, plan))
    has_fades = any(each.fade_in or each.fade_out for each in (drawn, plan))
    return (
        shape == other
        and drawn.gain == plan.gain
        and np.array_equal(drawn.score.gains, plan.score.gains)
        and not has_fades
        and np.array_equal(drawn.score.start, plan.score.start)
    )


def toggle_onset(desk: UiContext, shown: Shown, place: int) -> None:
    """Drop an onset that counts, keep one that does not."""
    onsets, content = shown.recording.onsets, shown.recording.content
    onset = onsets.ids[place]
    if shown.counts[place]:
        desk.store.apply(lambda session: drop_onset(session, content, onset), tr("Delete onset"))
    else:
        desk.store.apply(lambda session: keep_onset(session, content, onset), tr("Keep onset"))
