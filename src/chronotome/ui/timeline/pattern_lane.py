"""Pattern: a row for each slice of a kit, and a bar for each step, in every round that the clip plays."""

from functools import partial

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QLineF, QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen, QWheelEvent

from chronotome.session.edits.slicing import Place
from chronotome.session.kits import Kit, key_name
from chronotome.session.patterns import Pattern, StepId
from chronotome.ui.commands.patterns import PatternCommands
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import RowsBy
from chronotome.ui.timeline.gestures import STILL
from chronotome.ui.timeline.lane import HEADER, WHEEL_STEP
from chronotome.ui.timeline.pattern_bars import BarRects, heights_of, paint_bars
from chronotome.ui.timeline.pattern_drag import (
    PER_PIXEL,
    DrawDrag,
    EraseDrag,
    MoveDrag,
    PatternDrag,
    StepValueDrag,
)
from chronotome.ui.timeline.step_marks import Steps, steps_of
from chronotome.ui.timeline.track_lane import TrackLane
from chronotome.words import tr

TOP, FOOT = 4, 18
LOWEST_ROW, TALLEST_ROW = 9.5, 22.0
LABELS = 22
"""Pixels at the header's right in which rows are named."""
EDGE = 5
BUTTON, BUTTONS_AT = 17, 46
LEGEND = tr("solid: always    dashed: by chance    divided: repeats")


class PatternLane(TrackLane):
    """Click: set a step, or choose it. Drag: draw, move, lengthen. Right button: erase."""

    hint = tr(
        "Click to add a step, drag it to move it, its end to lengthen it.\nCtrl+drag: "
        "loudness. Ctrl+Shift+drag: chance. Ctrl+Alt+drag: repeats. Right-drag: delete."
    )

    def __init__(self, desk: UiContext, commands: PatternCommands) -> None:
        super().__init__(desk, tr("Pattern: steps of each slice"))
        self.setMinimumHeight(120)
        self._commands = commands
        self._scroll = 0.0
        self._press = self._pressed = QPointF()
        self._beat = 0.0
        self._row = 0
        desk.view.rows_changed.connect(self.update)

    # Places

    @property
    def steps(self) -> Steps | None:
        return steps_of(self.desk.session, self.shown)

    def order(self, kit: Kit) -> NDArray[np.int64]:
        """The slices of a kit from the top row down: where each stands in it."""
        count = len(kit.slices)
        match self.desk.view.rows_by:
            case RowsBy.BAND:
                bands = np.array([each.band for each in kit.slices])
                return np.lexsort((np.arange(count), -bands))
            case RowsBy.PITCH:
                return np.argsort(-self._heights(kit), kind="stable")
        return np.arange(count)

    def _heights(self, kit: Kit) -> NDArray[np.float64]:
        pool = self.desk.recordings.pool
        ready = tuple(pool.get(each) for each in dict.fromkeys(each.recording for each in kit.slices))
        return heights_of(kit, self.desk.session.recordings, tuple(filter(None, ready)))

    def row_height(self, count: int) -> float:
        room = self.height() - TOP - FOOT
        return min(TALLEST_ROW, max(LOWEST_ROW, room / max(1, count)))

    def _top_of(self, rows: NDArray[np.int64], count: int) -> NDArray[np.float64]:
        return np.asarray(TOP + rows * self.row_height(count) - self._scroll, np.float64)

    def _row_at(self, y: float, count: int) -> int | None:
        row = int((y - TOP + self._scroll) // self.row_height(count))
        return row if 0 <= row < count and y < self.height() - FOOT else None

    def _scrolled(self, count: int) -> float:
        """As far as there are rows below."""
        room = self.height() - TOP - FOOT
        return min(self._scroll, max(0.0, count * self.row_height(count) - room))

    def _button(self, number: int) -> QRectF:
        return QRectF(12.5, BUTTONS_AT + number * (BUTTON + 3) + 0.5, 54, BUTTON)

    def cell_at(self, x: float) -> float:
        """The song's beat at which the cell of the grid under the pointer begins."""
        beat, step = self.beat_of_x(x), self.desk.view.grid.step
        start = self.desk.session.metre.bar_start(beat)
        return float(start + np.floor((beat - start) / step + 1e-9) * step)

    # Painting

    def paint_header(self, painter: QPainter) -> None:
        theme, view, steps = self.desk.view.theme, self.desk.view, self.steps
        self.paint_words(painter, 6, tr("Pattern"), size=13, weight=600, value=theme.ink)
        if steps is None:
            return
        self.name_header(steps.pattern.name)
        self.paint_words(painter, 25, f"{steps.pattern.name}  ", size=10, weight=400, value=theme.soft_ink)
        painter.setFont(text_font(10))
        for number, by in enumerate(RowsBy):
            box, is_on = self._button(number), view.rows_by is by
            painter.setPen(QPen(colour(theme.ink if is_on else theme.strong_rule), 1))
            painter.setBrush(colour(theme.ink if is_on else theme.panel))
            painter.drawRoundedRect(box, 5, 5)
            painter.setPen(colour(theme.on_ink if is_on else theme.ink))
            painter.drawText(box, Qt.AlignmentFlag.AlignCenter, by.words)
        count, height = len(steps.kit.slices), self.row_height(len(steps.kit.slices))
        painter.save()
        painter.setClipRect(QRect(0, TOP, HEADER, self.height() - TOP - FOOT))
        painter.fillRect(HEADER - LABELS - 2, 0, LABELS, self.height(), colour(theme.panel))
        painter.setFont(figure_font(9 if height < 13 else 10))
        lit = set() if not self.desk.view.chosen.steps else self._lit(steps)
        for row, at in enumerate(self.order(steps.kit).tolist()):
            top = TOP + row * height - self._scrolled(count)
            if top + height < TOP or top > self.height() - FOOT:
                continue
            painter.setPen(colour(theme.accent if at in lit else theme.soft_ink))
            box = QRectF(HEADER - LABELS - 4, top, LABELS, height)
            right = Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter
            painter.drawText(box, right, key_name(steps.kit.slices[at].key))
        painter.restore()

    def _lit(self, steps: Steps) -> set[int]:
        """The slices of the chosen steps."""
        at = steps.pattern.at(self.desk.view.chosen.steps)
        places = {each.id: row for row, each in enumerate(steps.kit.slices)}
        return {places.get(steps.pattern.slices[each], -1) for each in at}

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, steps, shown = self.desk.view.theme, self.steps, self.shown
        painter.fillRect(content, colour(theme.paper))
        if steps is None or shown is None:
            return
        count = len(steps.kit.slices)
        self._scroll = self._scrolled(count)
        rows = QRect(content.left(), TOP, content.width(), self.height() - TOP - FOOT)
        painter.save()
        painter.setClipRect(rows, Qt.ClipOperation.IntersectClip)
        height, card = self.row_height(count), colour(theme.card)
        for row in range(0, count, 2):
            top = TOP + row * height - self._scroll
            if top + height >= TOP and top < self.height():
                painter.fillRect(QRectF(content.left(), top, content.width(), height), card)
        self.paint_grid(painter, content)
        self._paint_rounds(painter, steps, shown)
        self._paint_bars(painter, steps)
        painter.restore()
        self._paint_outside(painter, shown)
        self._paint_legend(painter, content)
        self._paint_thumb(painter, count)
        drag = self.drag
        if isinstance(drag, PatternDrag) and drag.words:
            self.paint_beside(painter, self._press + QPointF(4, -22), drag.words)

    def _paint_rounds(self, painter: QPainter, steps: Steps, shown: Shown) -> None:
        """Where a round begins."""
        take, session = shown.take, self.desk.session
        if take.playing is None:
            return
        starts = take.beat + np.arange(0.0, take.playing.beats, steps.pattern.beats)
        xs = self.xs_of(session.tempo.seconds_at(starts) * session.rate)
        painter.setPen(QPen(colour(self.desk.view.theme.accent, 150), 1.4))
        painter.drawLines([QLineF(x, 0, x, self.height()) for x in xs.tolist()])

    def _paint_outside(self, painter: QPainter, shown: Shown) -> None:
        """What is before and after the clip is dimmed."""
        theme, window = self.desk.view.theme, shown.plan.window
        left, right = self.x_of(window.start), self.x_of(window.end)
        dim = colour(theme.panel, 150)
        painter.fillRect(QRectF(HEADER, 0, max(0.0, left - HEADER), self.height()), dim)
        painter.fillRect(QRectF(right, 0, max(0.0, self.width() - right), self.height()), dim)

    def _paint_legend(self, painter: QPainter, content: QRect) -> None:
        painter.setFont(text_font(10))
        painter.setPen(colour(self.desk.view.theme.soft_ink))
        box = QRectF(content.left() + 8, self.height() - FOOT, content.width() - 16, FOOT)
        painter.drawText(box, Qt.AlignmentFlag.AlignVCenter, LEGEND)

    def _paint_thumb(self, painter: QPainter, count: int) -> None:
        """How far it is scrolled, where not all rows are in sight."""
        room, whole = self.height() - TOP - FOOT, count * self.row_height(count)
        if whole > room + 1:
            top, length = TOP + self._scroll / whole * room, room * room / whole
            box = QRectF(self.width() - 5, top, 3, length)
            painter.fillRect(box, colour(self.desk.view.theme.soft_ink, 160))

    def _boxes(self, steps: Steps) -> tuple[NDArray[np.float64], NDArray[np.float64], NDArray[np.float64]]:
        """Left and right edges, and tops of rows, of all steps in all rounds."""
        order = self.order(steps.kit)
        place = np.empty(len(order) + 1, np.int64)
        place[order], place[-1] = np.arange(len(order)), -1000
        tops = self._top_of(place[steps.rows], len(order))
        return self.xs_of(steps.starts), self.xs_of(steps.ends), tops

    def _paint_bars(self, painter: QPainter, steps: Steps) -> None:
        view, shown = self.desk.view, self.shown
        height = self.row_height(len(steps.kit.slices))
        lefts, rights, tops = self._boxes(steps)
        seen = np.flatnonzero(
            (rights > HEADER) & (lefts < self.width()) & (tops + height > TOP) & (tops < self.height() - FOOT)
        )
        is_here = shown is not None and view.chosen.place == (shown.track.id, shown.clip.id)
        bars = BarRects(lefts[seen], rights[seen], tops[seen], height)
        paint_bars(painter, view.theme, steps, seen, bars, view.chosen.steps if is_here else ())

    # Mouse

    def _step_under(self, x: float, y: float) -> tuple[int, bool] | None:
        """The step under the pointer, as it stands among all rounds, and whether its end is."""
        steps = self.steps
        if steps is None or not len(steps.step):
            return None
        lefts, rights, tops = self._boxes(steps)
        height = self.row_height(len(steps.kit.slices))
        inside = (tops <= y) & (tops + height > y) & (lefts - 2 <= x) & (np.maximum(rights, lefts + 4) > x)
        under = np.flatnonzero(inside)
        if not len(under):
            return None
        at = int(under[lefts[under].argmax()])
        width = rights[at] - lefts[at]
        return at, bool(width > 3 * EDGE and rights[at] - x <= EDGE)

    def mousePressEvent(self, event: QMouseEvent) -> None:
        x, y, shown, steps = event.position().x(), event.position().y(), self.shown, self.steps
        if shown is None or steps is None or self.drag is not None:
            return
        if x < HEADER:
            self._press_header(event.position(), steps)
            return
        self._press = self._pressed = event.position()
        pattern, found = steps.pattern, self._step_under(x, y)
        if event.button() is Qt.MouseButton.RightButton:
            self.hold(EraseDrag(self.desk, pattern.id), self._erase)
        elif event.button() is Qt.MouseButton.LeftButton and found is not None:
            self._take(event, shown, steps, found)
        elif event.button() is Qt.MouseButton.LeftButton:
            self._draw(event, shown, steps)

    def mouseReleaseEvent(self, event: QMouseEvent) -> None:
        """The right button, let go of where it was pressed, asks what can be done there."""
        drag = self.drag
        if isinstance(drag, EraseDrag) and not drag.is_meant:
            self.cancel_drag()
            self.desk.view.context_wanted.emit(self, event.position())
            return
        super().mouseReleaseEvent(event)

    def offers_at(self, x: float, y: float) -> str:
        found, steps, place = (
            self._step_under(x, y) if x >= HEADER else None,
            self.steps,
            self.desk.view.chosen.place,
        )
        if x < HEADER or steps is None or place is None:
            return ""
        if found is None:
            if not self.desk.transport.is_playing:
                self.desk.transport.go_to(self.frame_of(x))
            return "pattern"
        step = steps.pattern.ids[int(steps.step[found[0]])]
        if step not in self.desk.view.chosen.steps:
            self.desk.view.chosen.choose_hits(place, (step,))
        return "steps"

    def _press_header(self, at: QPointF, steps: Steps) -> None:
        for number, by in enumerate(RowsBy):
            if self._button(number).contains(at):
                self.desk.view.order_rows(by)
                return
        row = self._row_at(at.y(), len(steps.kit.slices))
        if row is not None and at.x() > HEADER - LABELS - 6:
            piece = steps.kit.slices[int(self.order(steps.kit)[row])]
            self._commands.kits.hear_slice(steps.kit, piece.id)
            here = [
                each
                for each, of in zip(steps.pattern.ids, steps.pattern.slices, strict=True)
                if of == piece.id
            ]
            place = self.desk.view.chosen.place
            if place is not None:
                self.desk.view.chosen.choose_hits(place, here)

    def _erase_under(self, drag: EraseDrag, at: QPointF) -> None:
        found, steps = self._step_under(at.x(), at.y()), self.steps
        if found is not None and steps is not None:
            drag.over(steps.pattern.ids[int(steps.step[found[0]])])

    def _draw(self, event: QMouseEvent, shown: Shown, steps: Steps) -> None:
        """On empty ground within the clip: a step in the cell under the pointer."""
        place = self._place_at(event.position().x(), shown, steps.pattern)
        row = self._row_at(event.position().y(), len(steps.kit.slices))
        if place is None or row is None:
            if row is None and event.position().y() >= self.height() - FOOT:
                self.desk.transport.go_to(self.frame_of(event.position().x()))
            return
        piece = steps.kit.slices[int(self.order(steps.kit)[row])]
        self.desk.view.chosen.choose_hits((shown.track.id, shown.clip.id), ())
        self._commands.kits.hear_slice(steps.kit, piece.id)
        drag = DrawDrag(self.desk, steps.pattern.id, piece.id, self.desk.view.grid.step)
        self.hold(drag, self._draw_on)
        drag.to(place)

    def _place_at(self, x: float, shown: Shown, pattern: Pattern) -> float | None:
        """The place in the pattern of the cell under the pointer; None outside of the clip."""
        playing = shown.take.playing
        cell = self.cell_at(x)
        along = cell - shown.take.beat
        if playing is None or not -1e-6 <= along < playing.beats - 1e-6:
            return None
        return round(max(0.0, along) % pattern.beats, 9) % pattern.beats

    def _take(self, event: QMouseEvent, shown: Shown, steps: Steps, found: tuple[int, bool]) -> None:
        view, keys = self.desk.view, event.modifiers()
        at, is_edge = found
        step = steps.pattern.ids[int(steps.step[at])]
        self._choose((shown.track.id, shown.clip.id), step, is_more=keys == Qt.KeyboardModifier.ShiftModifier)
        if int(steps.rows[at]) >= 0 and not is_edge:
            self._commands.kits.hear_slice(steps.kit, steps.kit.slices[int(steps.rows[at])].id)
        chosen = view.chosen.steps
        if step not in chosen:
            return
        if keys & Qt.KeyboardModifier.ControlModifier:
            self.hold(self._value_drag(steps.pattern, chosen, step, _value_by(keys)), self._shape)
        elif is_edge:
            session = self.desk.session
            beats = session.beat_of(float(steps.ends[at])) - session.beat_of(float(steps.starts[at]))
            drag = self._value_drag(steps.pattern, chosen, step, "lengths", usual=beats)
            self.hold(drag, self._shape)
        elif keys != Qt.KeyboardModifier.ShiftModifier:
            self._beat = self.beat_of_x(event.position().x())
            self._row = self._row_at(event.position().y(), len(steps.kit.slices)) or 0
            self.hold(self._move_drag(steps, chosen), self._move)

    def _choose(self, place: Place, step: StepId, *, is_more: bool) -> None:
        """One step; with Shift it is chosen with the others, or no longer."""
        view = self.desk.view
        if is_more:
            others = tuple(each for each in view.chosen.steps if each != step)
            view.chosen.choose_hits(place, others if step in view.chosen.steps else (*others, step))
        elif step not in view.chosen.steps:
            view.chosen.choose_hits(place, (step,))

    def _move_drag(self, steps: Steps, chosen: tuple[StepId, ...]) -> MoveDrag:
        rows = [steps.kit.slices[at].id for at in self.order(steps.kit).tolist()]
        own = {each: steps.pattern.slices[steps.pattern.ids.index(each)] for each in chosen}
        hear = partial(self._commands.kits.hear_slice, steps.kit)
        return MoveDrag(self.desk, steps.pattern.id, chosen, own, rows, hear)

    def _value_drag(
        self, pattern: Pattern, chosen: tuple[StepId, ...], step: StepId, name: str, usual: float = 0.0
    ) -> StepValueDrag:
        column = pattern.column(name)
        before = {each: float(column[pattern.ids.index(each)]) or usual for each in chosen}
        most = self._most_of(pattern, step) if name == "lengths" else 0.0
        return StepValueDrag(self.desk, pattern.id, chosen, name, before[step], before, most)

    def _most_of(self, pattern: Pattern, step: StepId) -> float:
        """Quarter notes that a step can sound for: to the end of its recording, or of what is turned."""
        session, at = self.desk.session, pattern.ids.index(step)
        piece = session.kit(pattern.kit).slice_of(pattern.slices[at])
        if piece is None:
            return 0.0
        recording = session.recording_with(piece.recording)
        is_own = piece.is_reversed or pattern.column("repeats")[at] > 1
        frames = (piece.end if is_own else recording.frames) - piece.start
        clip = self.desk.view.chosen.clip
        beat = pattern.places[at] + (0.0 if clip is None else clip.take.beat)
        return session.timebase.beats_in(frames / recording.rate, beat)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        if self.shown is None or self.steps is None:
            return
        super().mouseMoveEvent(event)
        if self.drag is not None:
            self.edge_scroll.see(event)
            self.update()
        if isinstance(self.drag, PatternDrag) and self.drag.words:
            self.desk.say(self.drag.words)

    def point_at(self, event: QMouseEvent) -> None:
        at = event.position()
        found = None if at.x() < HEADER else self._step_under(at.x(), at.y())
        shape = Qt.CursorShape.ArrowCursor
        if found is not None:
            shape = Qt.CursorShape.SizeHorCursor if found[1] else Qt.CursorShape.OpenHandCursor
        self.setCursor(shape)

    def _draw_on(self, drag: DrawDrag, event: QMouseEvent) -> None:
        shown, steps = self.shown, self.steps
        self._press = event.position()
        if shown is not None and steps is not None:
            place = self._place_at(event.position().x(), shown, steps.pattern)
            if place is not None:
                drag.to(place)

    def _erase(self, drag: EraseDrag, event: QMouseEvent) -> None:
        at = self._press = event.position()
        if not drag.is_meant and (at - self._pressed).manhattanLength() <= STILL:
            return
        if not drag.is_meant:
            drag.is_meant = True
            self._erase_under(drag, self._pressed)
        self._erase_under(drag, at)

    def _move(self, drag: MoveDrag, event: QMouseEvent) -> None:
        at, steps = event.position(), self.steps
        self._press = at
        by = self.beat_of_x(at.x()) - self._beat
        if abs(at.x() - self.x_of(self.desk.session.frame_of(self._beat))) <= STILL and not drag.by:
            by = 0.0
        elif self._is_snapped(event):
            step = self.desk.view.grid.step
            by = round(by / step) * step
        row = None if steps is None else self._row_at(at.y(), len(steps.kit.slices))
        drag.to(round(by, 6), drag.rows if row is None else row - self._row)

    def _shape(self, drag: StepValueDrag, event: QMouseEvent) -> None:
        at = event.position()
        if drag.name != "lengths":
            drag.to(drag.own + (self._press.y() - at.y()) * PER_PIXEL[drag.name])
            return
        by = self.beat_of_x(at.x()) - self.beat_of_x(self._press.x())
        step, wanted = self.desk.view.grid.step, drag.own + by
        if self._is_snapped(event):
            wanted = max(step / 2, round(wanted / (step / 2)) * step / 2)
        drag.to(max(1 / 64, wanted))

    def _is_snapped(self, event: QMouseEvent) -> bool:
        """Shift chooses more here: Alt alone is without snap."""
        return self.desk.view.is_snapping and not event.modifiers() & Qt.KeyboardModifier.AltModifier

    def wheelEvent(self, event: QWheelEvent) -> None:
        """Over the names of rows, and with Alt, rows scroll."""
        is_rows = event.position().x() < HEADER or event.modifiers() & Qt.KeyboardModifier.AltModifier
        if not is_rows:
            super().wheelEvent(event)
            return
        delta = event.angleDelta()
        self._scroll = max(0.0, self._scroll - 3 * LOWEST_ROW * (delta.y() or delta.x()) / WHEEL_STEP)
        event.accept()
        self.update()


def _value_by(keys: Qt.KeyboardModifier) -> str:
    """What is dragged up and down with Ctrl, and another key."""
    if keys & Qt.KeyboardModifier.ShiftModifier:
        return "chances"
    return "repeats" if keys & Qt.KeyboardModifier.AltModifier else "loudness"
