"""Pulse: the tempo from beat to beat, the candidates, and the beats themselves, which can be dragged."""

from functools import partial

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen, QPolygonF

from chronotome.order_stats import middle_of
from chronotome.session.edits.fitting import pin_beat, unpin_beat
from chronotome.session.fit import BeatMap, TempoOption
from chronotome.session.fit_checks import fit_checks_of
from chronotome.session.metre import MetreMap
from chronotome.session.model import Session
from chronotome.ui.commands.fit import FitCommands, Guide, guide_of
from chronotome.ui.state.figures import plain, share, signed
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.gestures import STILL, ValueDrag, is_free
from chronotome.ui.timeline.hit_test import nearest_column
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.marks import diamond, paint_each, ring
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.words import tr

TICKS = 30
"""Height of the strip of beats at the top."""
EDGE = 16
"""Height of the strip of each candidate that lies beyond the curve."""
MOST_BEYOND = 3
NARROWEST = 5.0
EVEN = 0.01
"""Beats per minute within which a tempo is called steady."""
"""Beats per minute from foot to top, at least."""
CLOSEST_BEATS, CLOSEST_BARS, CLOSEST_RINGS = 7, 26, 9
LEAST_GAP = 0.01
"""Pixels between two beats, where a fit has them all but on one another."""
SMOOTH_BEATS = 4
REACH = 6
PULL_PIXELS = 9
Screen = NDArray[np.float64]


class PulseLane(TrackLane):
    """Evidence of Fit. Drag a beat or a bar to correct it; click a candidate to choose it."""

    hint = tr(
        "Drag a beat to its place. Double-click a diamond to reset it.\nAfter a long "
        "drag, later beats are counted again. Shift: no snap."
    )

    def __init__(self, desk: UiContext, fit: FitCommands) -> None:
        super().__init__(desk, tr("Tempo of each beat"))
        self._fit = fit
        self._options: list[tuple[QRectF, TempoOption]] = []
        self._taken: Guide | None = None
        self.setMinimumHeight(150)

    @property
    def guide(self) -> Guide | None:
        return guide_of(self.desk)

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme, guide = self.desk.view.theme, self.guide
        y = self.paint_words(painter, 8, tr("Pulse"), size=13, weight=600, value=theme.ink)
        if guide is None or guide.beats is None:
            self.paint_words(painter, y, tr("no beats yet"), size=10, weight=400, value=theme.soft_ink)
            return
        track = self.desk.view.chosen.focused
        if track is not None and guide.track.id != track.id:
            words = tr("of {0}", guide.track.name)
            y = self.paint_words(painter, y, words, size=10, weight=400, value=theme.soft_ink)
        beats = guide.beats
        painter.setFont(figure_font(14, 500))
        painter.setPen(colour(theme.ink))
        painter.drawText(QPointF(12, y + 20), plain(beats.tempo, 2))
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        heard = guide.heard or beats
        low, high = float(heard.tempi.min()), float(heard.tempi.max())
        is_even = high - low < EVEN
        words = tr("steady") if is_even else f"{plain(low)} – {plain(high)}"
        painter.drawText(QPointF(12, y + 36), words)
        painter.drawText(QPointF(12, y + 51), "" if is_even else tr("drift ±{0} ms", plain(heard.residual)))

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, guide = self.desk.view.theme, self.guide
        painter.fillRect(content, colour(theme.paper))
        self._options = []
        if guide is None or guide.beats is None:
            self._paint_way_out(painter, content, guide)
            return
        self._paint_doubtful(painter, guide)
        heard = guide.heard or guide.beats
        tempi, smooth = heard.tempi, heard.smoothed(SMOOTH_BEATS)
        song = np.array([each.beats_per_minute for each in self.desk.session.tempo.changes])
        middle = middle_of(tempi)
        known = np.append(smooth, song[np.abs(song / middle - 1) < 0.12])
        reach = max(NARROWEST / 2, float(np.abs(known - middle).max()) * 1.25)
        above, below = self._beyond(guide, middle, reach)
        top, foot = TICKS + 8 + EDGE * len(above), self.height() - 8 - EDGE * len(below)

        def y_of(tempo: Screen) -> Screen:
            share = np.clip((tempo - middle) / reach, -1, 1)
            return (top + foot) / 2 - share * (foot - top) / 2

        self._paint_within(painter, content, guide, (middle, reach), y_of)
        for place, option in enumerate(above):
            self._paint_option(painter, content, option, TICKS + 8 + EDGE * (place + 0.5), is_within=False)
        for place, option in enumerate(below):
            y = self.height() - 8 - EDGE * (len(below) - place - 0.5)
            self._paint_option(painter, content, option, y, is_within=False)
        self._paint_song(painter, content, y_of)
        xs = self.xs_of(guide.frame_at(heard.beats))
        self._paint_curve(painter, xs, y_of(tempi), y_of(smooth))
        self._paint_axis(painter, content, (middle - reach, middle, middle + reach), (foot, top))
        self._paint_beats(painter, guide, guide.beats)

    def _paint_way_out(self, painter: QPainter, content: QRect, guide: Guide | None) -> None:
        words = tr("The beats are unknown. Tap them during playback (T), or enter the number of bars.")
        if guide is not None and guide.take.playing is not None:
            words = tr("A pattern keeps the song tempo")
        elif guide is not None and not guide.recording.is_analysed:
            words = tr("Detecting beats…")
        painter.setFont(text_font(12))
        painter.setPen(colour(self.desk.view.theme.soft_ink))
        painter.drawText(content, Qt.AlignmentFlag.AlignCenter, words)

    def _paint_doubtful(self, painter: QPainter, guide: Guide) -> None:
        """An ochre wash over bars that jump, and what is wrong with the chosen one."""
        theme, metre = self.desk.view.theme, self._metre_of(guide)
        for check in fit_checks_of(self.desk.session, guide.track):
            left, right = self.xs_of(
                guide.frame_at(np.array([check.beat, metre.bars_from(check.beat, 1)]))
            ).tolist()
            if right < HEADER or left > self.width():
                continue
            painter.fillRect(QRectF(left, TICKS, right - left, self.height()), colour(theme.wash, 170))
            if right - left > 60 or self.desk.view.chosen.beat == check.beat:
                painter.setFont(text_font(10, 500))
                painter.setPen(colour(theme.late))
                painter.drawText(QPointF(left + 4, self.height() - 8), f"{check.title} {check.figure}")

    def _ratios(self, guide: Guide) -> list[TempoOption]:
        measured = guide.recording.measured
        return [] if measured is None else list(measured.options)

    def _beyond(
        self, guide: Guide, middle: float, reach: float
    ) -> tuple[list[TempoOption], list[TempoOption]]:
        """Candidates above and below what the curve's axis holds."""
        quarters = guide.recording.measured.quarters if guide.recording.measured else 1.0
        options = sorted(self._ratios(guide), key=lambda each: -each.beats_per_minute)
        above = [each for each in options if each.beats_per_minute * quarters > middle + reach]
        below = [each for each in options if each.beats_per_minute * quarters < middle - reach]
        return above[-MOST_BEYOND:], below[:MOST_BEYOND]

    def _paint_within(
        self, painter: QPainter, content: QRect, guide: Guide, axis: tuple[float, float], y_of: object
    ) -> None:
        quarters = guide.recording.measured.quarters if guide.recording.measured else 1.0
        middle, reach = axis
        for option in self._ratios(guide):
            tempo = option.beats_per_minute * quarters
            if abs(tempo - middle) <= reach:
                y = float(y_of(np.array([tempo]))[0])  # type: ignore[operator]  # the lane's own scale
                self._paint_option(painter, content, option, y, is_within=True)

    def _paint_option(
        self, painter: QPainter, content: QRect, option: TempoOption, y: float, *, is_within: bool
    ) -> None:
        """A faint line for a candidate; where it lies beyond the axis, its words name it."""
        theme = self.desk.view.theme
        painter.setPen(QPen(colour(theme.strong_rule), 1, Qt.PenStyle.DashDotLine))
        painter.drawLine(QPointF(content.left(), y), QPointF(content.right(), y))
        if is_within:
            return
        painter.setFont(figure_font(10))
        words = f"{plain(option.beats_per_minute, 2)}  {share(option.confidence)}"
        width = painter.fontMetrics().horizontalAdvance(words) + 12
        box = QRectF(content.left() + 6, y - EDGE / 2, width, EDGE)
        painter.fillRect(box, colour(theme.paper))
        painter.setPen(colour(theme.soft_ink))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)
        self._options.append((QRectF(content.left(), y - EDGE / 2, content.width(), EDGE), option))

    def _paint_song(self, painter: QPainter, content: QRect, y_of: object) -> None:
        """The song's tempo, dashed: straight, or stepping where its grid bends."""
        session, theme = self.desk.session, self.desk.view.theme
        changes = session.tempo.changes
        starts = np.array([change.beat for change in changes])
        tempi = np.array([change.beats_per_minute for change in changes])
        xs = self.xs_of(session.tempo.seconds_at(starts) * session.rate)
        xs = np.append(np.append(content.left(), xs[1:]), content.right())
        ys = y_of(tempi)  # type: ignore[operator]  # the lane's own scale
        painter.setPen(QPen(colour(theme.accent), 1.3, Qt.PenStyle.DashLine))
        lines = [
            QLineF(left, y, right, y)
            for left, right, y in zip(xs[:-1].tolist(), xs[1:].tolist(), ys.tolist(), strict=True)
            if right > content.left() and left < content.right()
        ]
        painter.drawLines(lines)

    def _paint_axis(
        self, painter: QPainter, content: QRect, tempi: tuple[float, float, float], ends: tuple[float, float]
    ) -> None:
        theme = self.desk.view.theme
        foot, top = ends
        for tempo, y in zip(tempi, (foot, (foot + top) / 2, top), strict=True):
            painter.setPen(QPen(colour(theme.rule), 1, Qt.PenStyle.DotLine))
            painter.drawLine(QPointF(HEADER, y), QPointF(content.right() - 46, y))
            self.paint_axis_label(painter, y, plain(tempo, 2))

    def _paint_curve(self, painter: QPainter, xs: Screen, exact: Screen, smooth: Screen) -> None:
        """The smoothed curve in ink; each beat's own tempo as a small ring where there is room."""
        theme = self.desk.view.theme
        inside = np.flatnonzero((xs[1:] > HEADER - 200) & (xs[:-1] < self.width() + 200))
        if not len(inside):
            return
        painter.setBrush(Qt.BrushStyle.NoBrush)
        middles = (xs[1:] + xs[:-1]) / 2
        if len(inside) * CLOSEST_RINGS < self.width():
            painter.setPen(QPen(colour(theme.soft_ink), 1))
            places = zip(middles[inside].tolist(), exact[inside].tolist(), strict=True)
            paint_each(painter, ring, places, 2.2)
        painter.setPen(QPen(colour(theme.ink), 1.8))
        points = zip(middles[inside].tolist(), smooth[inside].tolist(), strict=True)
        painter.drawPolyline(QPolygonF([QPointF(x, y) for x, y in points]))

    def _beats_in_sight(self, beats: BeatMap, guide: Guide) -> tuple[Screen, Screen, NDArray[np.bool_]]:
        """The metre's beats to draw, where they are, and which of them begin a bar."""
        metre = self._metre_of(guide)
        lines, places = metre.beat_lines(float(beats.beats[0]), float(beats.beats[-1]))
        xs = self.xs_of(guide.frame_at(lines))
        gap = max(LEAST_GAP, middle_of(np.diff(xs))) if len(xs) > 1 else 99.0
        chosen, every = np.ones(len(xs), bool), 1
        if gap < CLOSEST_BEATS:
            bars = np.rint(metre.bars_at(lines))
            while gap * metre.first.beats * every < CLOSEST_BEATS:
                every *= 2
            chosen = (places == 0) & (bars % every == 0)
        chosen &= (xs > HEADER - 40) & (xs < self.width() + 40)
        return lines[chosen], xs[chosen], places[chosen] == 0

    def _metre_of(self, guide: Guide) -> MetreMap:
        """The song's bars as the recording has them."""
        return self.desk.session.metre.seen_from(guide.take.beat)

    def _paint_beats(self, painter: QPainter, guide: Guide, beats: BeatMap) -> None:
        """Ticks at the top, bars longer and numbered; diamonds where a person tied them."""
        theme, metre, view = self.desk.view.theme, self._metre_of(guide), self.desk.view
        painter.fillRect(QRectF(HEADER, 0, self.width(), TICKS), colour(theme.card))
        lines, xs, is_bar = self._beats_in_sight(beats, guide)
        painter.setPen(QPen(colour(theme.soft_ink), 1))
        painter.drawLines([QLineF(x, TICKS - 9, x, TICKS) for x in xs[~is_bar].tolist()])
        painter.setPen(QPen(colour(theme.ink), 1.6))
        painter.drawLines([QLineF(x, TICKS - 18, x, TICKS) for x in xs[is_bar].tolist()])
        painter.setFont(figure_font(10))
        last = -1e9
        numbers = np.rint(metre.bars_at(lines[is_bar])).astype(int).tolist()
        for number, x in zip(numbers, xs[is_bar].tolist(), strict=True):
            if x - last >= CLOSEST_BARS:
                last = x
                painter.setPen(colour(theme.ink))
                painter.drawText(QPointF(x + 4, 12), str(number + 1).replace("-", "−"))
        pinned = np.array([pin.beat for pin in guide.recording.fit.pins])
        if guide.recording.fit.beat_one is not None and 0.0 not in pinned:
            pinned = np.append(pinned, 0.0)
        if len(pinned):
            painter.setPen(QPen(colour(theme.accent), 1.2))
            painter.setBrush(colour(theme.accent))
            places = self.xs_of(guide.frame_at(pinned)).tolist()
            paint_each(painter, diamond, ((x, TICKS - 5.0) for x in places), 5)
        if view.chosen.beat is not None:
            x = float(self.xs_of(guide.frame_at(np.array([view.chosen.beat])))[0])
            painter.setPen(QPen(colour(theme.accent), 2))
            painter.drawLine(QPointF(x, 0), QPointF(x, self.height()))
        if isinstance(self.drag, ValueDrag) and self.drag.value is not None and view.chosen.beat is not None:
            self._paint_drag_words(painter, guide, view.chosen.beat)

    def _paint_drag_words(self, painter: QPainter, guide: Guide, beat: float) -> None:
        """How far the beat under the hand was moved."""
        theme, before = self.desk.view.theme, self._taken
        if before is None or before.beats is None or guide.beats is None:
            return
        at = np.array([beat])
        moved = float((guide.beats.seconds_at(at) - before.beats.seconds_at(at))[0]) * 1000
        x = float(self.xs_of(guide.frame_at(at))[0])
        painter.setFont(figure_font(11))
        words = tr("{0} ms", signed(moved))
        width = painter.fontMetrics().horizontalAdvance(words) + 12
        left = x + 8 if x + 8 + width < self.width() else x - 8 - width
        box = QRectF(left, TICKS + 4, width, 18)
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(theme.accent))
        painter.drawRoundedRect(box, 4, 4)
        painter.setPen(colour(theme.on_ink))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)

    # Mouse

    def offers_at(self, x: float, y: float) -> str:
        beat = self._beat_at(x, y) if x >= HEADER else None
        if beat is not None:
            self.desk.view.chosen.choose_beat(beat)
        return "fit" if x >= HEADER else ""

    def _beat_at(self, x: float, y: float) -> float | None:
        """The beat whose tick or diamond is under the pointer."""
        guide = self.guide
        if guide is None or guide.beats is None or y > TICKS:
            return None
        beats, xs, _ = self._beats_in_sight(guide.beats, guide)
        pinned = np.array([pin.beat for pin in guide.recording.fit.pins])
        if len(pinned):
            beats = np.append(beats, pinned)
            xs = np.append(xs, self.xs_of(guide.frame_at(pinned)))
        at = nearest_column(xs, x, reach=REACH) if len(xs) else None
        return None if at is None else float(beats[at])

    def _option_at(self, point: QPointF) -> TempoOption | None:
        return next((option for box, option in self._options if box.contains(point)), None)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        x, y = event.position().x(), event.position().y()
        if event.button() is not Qt.MouseButton.LeftButton or x < HEADER:
            return
        option = self._option_at(event.position())
        beat = self._beat_at(x, y)
        if option is not None:
            self._fit.choose(option)
        elif beat is not None and self.guide is not None:
            self._taken = self.guide
            self.desk.view.chosen.choose_beat(beat)
            edit = partial(_pinned, track=self._taken.track.id, beat=beat)
            words = tr("Move bar") if self._metre_of(self._taken).bar_start(beat) == beat else tr("Move beat")
            self.hold(ValueDrag(self.desk, edit, words), partial(self._move_beat, x))
        else:
            self.desk.view.chosen.choose_beat(None)
            self.desk.transport.go_to(self.frame_of(x))

    def _move_beat(self, pressed: float, drag: ValueDrag, event: QMouseEvent) -> None:
        x = event.position().x()
        if drag.value is None and abs(x - pressed) < STILL:
            return
        self.edge_scroll.see(event)
        drag.to(self._frame_under(x, is_free=is_free(event)))

    def point_at(self, event: QMouseEvent) -> None:
        x = event.position().x()
        over = self._beat_at(x, event.position().y()) is not None
        hand = (
            Qt.CursorShape.PointingHandCursor
            if self._option_at(event.position())
            else Qt.CursorShape.ArrowCursor
        )
        self.setCursor(Qt.CursorShape.SizeHorCursor if over else hand)

    def _frame_under(self, x: float, *, is_free: bool) -> float:
        """The recording's frame under the pointer, as shown when the beat was taken; drawn to a hit."""
        guide = self._taken
        if guide is None:
            return 0.0
        frame = max(0, guide.shown.recording_frame(self.frame_of(x)))
        if is_free or not len(guide.shown.targets):
            return float(frame)
        xs = self.xs_of(guide.shown.hits)
        at = nearest_column(xs, x, reach=PULL_PIXELS)
        if at is None:
            return float(frame)
        place = guide.recording.onsets.place_of(int(guide.shown.targets.onsets[at]))
        return float(frame if place is None else guide.recording.onsets.frames[place])

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        beat, guide = self._beat_at(event.position().x(), event.position().y()), self.guide
        if beat is not None and guide is not None:
            self.desk.store.apply(lambda session: unpin_beat(session, guide.track.id, beat), tr("Reset beat"))


def _pinned(session: Session, frame: float, *, track: int, beat: float) -> Session:
    return pin_beat(session, track, beat, round(frame))
