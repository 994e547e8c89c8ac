"""Other tracks, as context."""

from collections.abc import Sequence

from PySide6.QtCore import QRect, QRectF, Qt
from PySide6.QtGui import QImage, QMouseEvent, QPainter

from chronotome.render.pool import Source
from chronotome.session.model import Track, TrackId
from chronotome.ui.desk import Desk
from chronotome.ui.theme import colour
from chronotome.ui.timeline.clip_frames import paint_frames
from chronotome.ui.timeline.clip_lane import ClipLane
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.shown import Shown
from chronotome.ui.timeline.track_buttons import TrackButtons
from chronotome.ui.timeline.track_wave import track_columns
from chronotome.ui.timeline.waveform import wave_image
from chronotome.ui.view_state import Stage

HEIGHT = 56
STRETCHED, TURN, LANES_IN_TURN = 2.0, 0.11, 5
"""How far the last image is stretched while the view moves; lanes are drawn anew one after the other."""
BESIDE = 0.5
"""Of the width, at either side, that is drawn for when it is scrolled to."""


class ContextLane(ClipLane):
    """Click: bring this track into the tall lane."""

    hint = "Click to bring this track into the tall lane, and the playhead here."

    def __init__(self, desk: Desk, track: TrackId) -> None:
        self.track_id = track
        self._drawn: tuple[object, ...] = (None,)
        super().__init__(desk, "Track", lambda: self._track)
        self.setFixedHeight(HEIGHT)
        self._image: QImage | None = None
        self._key: tuple[object, ...] = ()
        self._viewport = desk.view.viewport
        """What the image shows: more than is in sight, so that there is something to scroll to."""
        self._most_stretched = STRETCHED * (1 + TURN * (track % LANES_IN_TURN))
        desk.view.rested.connect(self._update_content)
        self._buttons = TrackButtons(desk, self, size=20)
        self._buttons.follow(track)
        self._buttons.move(12, HEIGHT - 23)
        desk.recordings.source_grew.connect(self._on_grew)
        desk.recordings.source_ready.connect(self._on_grew)

    def _on_session(self) -> None:
        """A track that nothing was done to is not drawn anew."""
        session, track = self.desk.session, self._track
        guide = None if track is None else session.track(session.guide_of(track.id))
        now = (self.clips, track, guide, session.tempo, session.metre)
        if any(new is not old for new, old in zip(now, self._drawn, strict=False)):
            self._drawn = now
            super()._on_session()

    @property
    def _track(self) -> Track | None:
        return next((track for track in self.desk.session.tracks if track.id == self.track_id), None)

    def _on_grew(self, content: str) -> None:
        track = self._track
        if track is not None and any(clip.recording == content for clip in track.clips):
            self._key = ()
            self.update()

    def paint_header(self, painter: QPainter) -> None:
        track, theme = self._track, self.desk.view.theme
        if track is None:
            return
        self.setAccessibleName(f"Track {track.name}")
        self.name_header(track.name)
        y = self.paint_words(painter, 4, track.name, size=11, weight=600, value=theme.ink)
        guide = self.desk.session.guide_of(track.id)
        if guide != track.id:
            words = f"locked to {self.desk.session.track(guide).name}"
            self.paint_words(painter, y - 3, words, size=9, weight=400, value=theme.soft_ink)

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, track = self.desk.view.theme, self._track
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        clips, sources = self.clips, self.desk.recordings.pool.sources
        found = [sources[each.recording.content] for each in clips if each.recording.content in sources]
        if track is None or not found:
            return
        self._paint_wave(painter, clips, found, is_muted=track.is_muted)
        if self.desk.view.stage is Stage.REWORK:
            paint_frames(painter, self, clips, self.desk.view.clips)

    def _paint_wave(
        self, painter: QPainter, clips: Sequence[Shown], sources: Sequence[Source], *, is_muted: bool
    ) -> None:
        """While the view moves, the last image is moved and stretched; once it rests it is drawn anew."""
        view, theme, ratio = self.desk.view, self.desk.view.theme, self.devicePixelRatioF()
        is_whole = all(source.is_whole for source in sources)
        key = (tuple(each.plan for each in clips), ratio, theme.name, len(sources), is_whole, is_muted)
        is_same = self._image is not None and key == self._key
        is_exact = is_same and self._viewport.covers(view.viewport, stretched=1.0)
        is_near = self._viewport.covers(view.viewport, stretched=self._most_stretched)
        if not (is_exact or (is_same and view.is_moving and is_near)):
            self._viewport = view.viewport.widened(BESIDE)
            lows, highs = track_columns(clips, self.desk.recordings.pool.sources, self._viewport.edges(ratio))
            ink = colour(theme.strong_rule) if is_muted else colour(theme.wave)
            self._image = wave_image(lows, highs, ink, height=int((HEIGHT - 8) * ratio), ratio=ratio)
            self._key = key if is_whole else ()
        if self._image is not None:
            left, right = (view.viewport.x_of(frame) for frame in (self._viewport.start, self._viewport.end))
            box = QRectF(HEADER + left, 4, right - left, HEIGHT - 8)
            painter.drawImage(box, self._image)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        if event.button() is not Qt.MouseButton.LeftButton:
            return
        if self.desk.view.stage is Stage.REWORK and self.press_clip(event):
            return
        frame = self.frame_of(event.position().x())  # before the lane may be gone
        if event.position().x() >= HEADER:
            self.desk.transport.go_to(frame)
        self.desk.view.focus(self.track_id)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self.desk.view.stage is Stage.REWORK:
            self.move_clip(event)
