"""Other tracks, as context."""

from collections.abc import Sequence

from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QImage, QMouseEvent, QPainter

from chronotome.render.pool import Source
from chronotome.session.model import Track, TrackId, TrackSize
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.badges import (
    Placed,
    badge_at,
    clip_badges,
    in_column,
    more_of,
    paint_badges,
    track_badges,
)
from chronotome.ui.timeline.clip_frames import paint_frames
from chronotome.ui.timeline.clip_lane import ClipLane
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.track_buttons import TrackButtons
from chronotome.ui.timeline.track_header import FOOT, HEIGHTS, OrderDrag, SizeDrag
from chronotome.ui.timeline.track_wave import track_columns
from chronotome.ui.timeline.waveform import wave_image
from chronotome.words import tr

STRETCHED, TURN, LANES_IN_TURN = 2.0, 0.11, 5
"""How far the last image is stretched while the view moves; lanes are drawn anew one after the other."""
BESIDE = 0.5
"""Of the width, at either side, that is drawn for when it is scrolled to."""


class ContextLane(ClipLane):
    """Click: bring this track into the tall lane. Its header, dragged: another place, or another height."""

    hint = tr("Click to show this track in the large lane and to set the playhead.")
    header_hint = tr("Drag to reorder tracks, the lower edge to resize or fold the lane.")

    def __init__(self, desk: UiContext, track: TrackId) -> None:
        self.track_id = track
        self._drawn: tuple[object, ...] = (None,)
        super().__init__(desk, tr("Track"), lambda: self._track)
        self.gap: bool | None = None
        """Where a dragged track would go in: before this one where True, after it where False."""
        self._image: QImage | None = None
        self._key: tuple[object, ...] = ()
        self._viewport = desk.view.sight.viewport
        """What the image shows: more than is in sight, so that there is something to scroll to."""
        self._most_stretched = STRETCHED * (1 + TURN * (track % LANES_IN_TURN))
        desk.view.sight.rested.connect(self._update_content)
        self._is_pressed = False
        self.buttons = TrackButtons(desk, self, size=20)
        self.buttons.follow(track)
        self.setMouseTracking(True)
        self._fit_height()
        desk.recordings.source_grew.connect(self._on_grew)
        desk.recordings.source_ready.connect(self._on_grew)
        desk.bands.found.connect(self._on_grew)

    def _fit_height(self) -> None:
        track = self._track
        size = TrackSize.USUAL if track is None else track.size
        if HEIGHTS[size] != self.height() or not self.minimumHeight():
            self.setFixedHeight(HEIGHTS[size])
        self.buttons.setVisible(size not in {TrackSize.FOLDED, TrackSize.LOW})
        self.buttons.move(12, HEIGHTS[size] - 23)

    def beside(self) -> list["ContextLane"]:
        """All lanes of tracks in the same column."""
        found = self.window().findChildren(ContextLane)
        return sorted(found, key=lambda lane: lane.mapToGlobal(lane.rect().topLeft()).y())

    def _on_session(self) -> None:
        """A track that nothing was done to is not drawn anew."""
        session, track = self.desk.session, self._track
        guide = None if track is None else session.track(session.guide_of(track.id))
        now = (self.clips, track, guide, session.tempo, session.metre)
        if any(new is not old for new, old in zip(now, self._drawn, strict=False)):
            self._drawn = now
            self._fit_height()
            super()._on_session()

    @property
    def _track(self) -> Track | None:
        return next((track for track in self.desk.session.tracks if track.id == self.track_id), None)

    def _on_grew(self, content: str) -> None:
        track = self._track
        if track is not None and any(content in each.plan.score.recordings for each in self.clips):
            self._key = ()
            self.update()

    def paint_header(self, painter: QPainter) -> None:
        track, theme = self._track, self.desk.view.theme
        if track is None:
            return
        self.setAccessibleName(tr("Track {0}", track.name))
        self.name_header(track.name)
        is_folded = track.size is TrackSize.FOLDED
        y = self.paint_words(painter, 1 if is_folded else 4, track.name, size=11, weight=600, value=theme.ink)
        self._paint_gap(painter)
        if is_folded:
            return
        guide = self.desk.session.guide_of(track.id)
        if guide != track.id:
            words = tr("locked to {0}", self.desk.session.track(guide).name)
            self.paint_words(painter, y - 3, words, size=9, weight=400, value=theme.soft_ink)
        paint_badges(painter, theme, self.badges)

    @property
    def badges(self) -> list[Placed]:
        """One for all that acts on the track and its clips, beyond its lock: how many, told in words."""
        track, session = self._track, self.desk.session
        if track is None or track.size in {TrackSize.FOLDED, TrackSize.LOW}:
            return []
        group = session.group_of(track.id)
        found = [each for each in track_badges(session, track) if group is None or each.control != "unlock"]
        found += dict.fromkeys(badge for clip in track.clips for badge in clip_badges(session, clip))
        if not found:
            return []
        return in_column([more_of(found)], 68, self.height() - 20, self.height())

    def told_at(self, place: QPointF) -> str:
        badge = badge_at(self.badges, place) if place.x() < HEADER else None
        return super().told_at(place) if badge is None else badge.told

    def _paint_gap(self, painter: QPainter) -> None:
        if self.gap is not None:
            y = 0 if self.gap else self.height() - 3
            painter.fillRect(0, y, HEADER, 3, colour(self.desk.view.theme.accent))

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, track = self.desk.view.theme, self._track
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        clips, sources = self.clips, self.desk.recordings.pool.sources
        needed = dict.fromkeys(content for each in clips for content in each.plan.score.recordings)
        found = [sources[content] for content in needed if content in sources]
        if track is None or not found:
            return
        self._paint_wave(painter, clips, found, is_muted=track.is_muted)
        if self.desk.view.stage is Stage.REWORK:
            paint_frames(painter, self, clips, self.desk.view.chosen.clips)
            self.paint_range(painter)

    def _paint_wave(
        self, painter: QPainter, clips: Sequence[Shown], sources: Sequence[Source], *, is_muted: bool
    ) -> None:
        """While the view moves, the last image is moved and stretched; once it rests it is drawn anew."""
        view, theme, ratio = self.desk.view, self.desk.view.theme, self.devicePixelRatioF()
        height = max(8, self.height() - 8)
        is_whole = all(source.is_whole for source in sources)
        key = (
            height,
            tuple(each.plan for each in clips),
            ratio,
            theme.name,
            len(sources),
            is_whole,
            is_muted,
        )
        is_same = self._image is not None and key == self._key
        is_exact = is_same and self._viewport.covers(view.sight.viewport, stretched=1.0)
        is_near = self._viewport.covers(view.sight.viewport, stretched=self._most_stretched)
        if not (is_exact or (is_same and view.sight.is_moving and is_near)):
            self._viewport = view.sight.viewport.widened(BESIDE)
            lows, highs = track_columns(
                clips, self.desk.recordings.pool.sources, self._viewport.edges(ratio), self.desk.bands
            )
            ink = colour(theme.strong_rule) if is_muted else colour(theme.wave)
            self._image = wave_image(lows, highs, ink, height=int(height * ratio), ratio=ratio)
            self._key = key if is_whole else ()
        if self._image is not None:
            left, right = map(view.sight.viewport.x_of, (self._viewport.start, self._viewport.end))
            box = QRectF(HEADER + left, (self.height() - height) / 2, right - left, height)
            painter.drawImage(box, self._image)

    def offers_at(self, x: float, y: float) -> str:
        if x >= HEADER and self.desk.view.stage is Stage.REWORK:
            return self.offers_clip_at(x, y)
        self.desk.view.chosen.focus(self.track_id)
        return "track"

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton:
            return
        badge = badge_at(self.badges, event.position())
        if badge is not None:
            self.desk.view.chosen.focus(self.track_id)
            self.desk.view.want_setting(badge.stage, badge.control)
            return
        if event.position().x() < HEADER:
            self._press_header(event)
            return
        if self.desk.view.stage is Stage.REWORK and self.press_clip(event):
            return
        self.desk.transport.go_to(self.frame_of(event.position().x()))
        self._is_pressed = True

    def click_wave(self, x: float) -> None:
        super().click_wave(x)
        self._enlarge()

    def _enlarge(self) -> None:
        """Once the button is let go: lanes must not move under the hand. It says why they move then."""
        track = self._of()
        if track is not None:
            self.desk.say(tr("{0} is in the large lane, in its place among the tracks", track.name))
            self.desk.view.chosen.focus(self.track_id)

    def _press_header(self, event: QMouseEvent) -> None:
        if event.position().y() > self.height() - FOOT:
            drag = SizeDrag(self.desk, self.track_id, event.globalPosition().y())
            self.hold(drag, lambda drag, event: drag.to(event.globalPosition().y()))
        else:
            order = OrderDrag(self.desk, self, event.position())
            self.hold(order, lambda order, event: order.to(event, self.beside()))

    def mouseReleaseEvent(self, event: QMouseEvent) -> None:
        if self._is_pressed:
            self._is_pressed = False
            if self.rect().contains(event.position().toPoint()):
                self._enlarge()
            return
        is_click = isinstance(self.drag, OrderDrag) and not self.drag.is_meant
        super().mouseReleaseEvent(event)
        if is_click:
            self._enlarge()

    def point_at(self, event: QMouseEvent) -> None:
        if event.position().x() < HEADER:
            is_foot = event.position().y() > self.height() - FOOT
            self.setCursor(Qt.CursorShape.SizeVerCursor if is_foot else Qt.CursorShape.ArrowCursor)
            self.desk.view.hint(self.header_hint)
            return
        if self.desk.view.stage is Stage.REWORK:
            self.point_at_clip(event)
