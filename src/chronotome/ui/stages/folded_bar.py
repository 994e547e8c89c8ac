"""Every hit of a track folded into one bar, over the lines that it is tightened to."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PySide6.QtCore import QEvent, QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QHelpEvent, QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QToolTip, QWidget

from chronotome.session.lines import Lines, lines_over
from chronotome.session.metre import Metre, MetreMap, metre_map, position_words
from chronotome.session.recipes import ruling_of
from chronotome.session.targets import Targets
from chronotome.ui.state.figures import counted, signed
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.theme import Theme, colour
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.marks import down, paint_each, ring, up
from chronotome.words import tr

HEIGHT = 62
SIDE = 12
MOST_DOTS = 400
QUIETEST = 36.0
"""Decibels below the loudest hit that lie at the foot."""
REACH = 7


@dataclass(frozen=True, eq=False)
class _Folded:
    """Hits in one bar: beats from its start, drift in ms, height from 0 (soft) to 1."""

    beats: NDArray[np.float64]
    drift: NDArray[np.float64]
    height: NDArray[np.float64]
    steps: NDArray[np.float64]
    onsets: NDArray[np.int64]


class FoldedBar(QWidget):
    """A dot a hit: its place in the bar and its loudness; early and late by shape. A click chooses a step."""

    chosen = Signal(float)
    """Beats from the bar's start."""

    def __init__(self, desk: UiContext) -> None:
        super().__init__()
        self._desk = desk
        self._step = 0
        self.setFixedHeight(HEIGHT)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(tr("All bars folded into one"))
        view = desk.view
        for signal in (
            view.theme_changed,
            view.chosen.focus_changed,
            view.scope_changed,
            view.chosen.changed,
        ):
            signal.connect(self.update)
        desk.store.changed.connect(self.update)
        desk.transport.moved.connect(self._on_moved)
        self._shown_metre = self._metre

    def _on_moved(self, _frame: float) -> None:
        if self._desk.session.metre_changes and self._metre != self._shown_metre:
            self._shown_metre = self._metre
            self.update()

    @property
    def _metre(self) -> Metre:
        """That of the bar under the playhead: bars of others are left out."""
        session = self._desk.session
        return session.metre.metre_at(session.beat_of(self._desk.transport.position))

    def _lines(self) -> Lines:
        """Those of one bar."""
        desk = self._desk
        session, bar = desk.session, self._metre.bar
        ruling = ruling_of(desk.view.recipe, session.grooves)
        lines = lines_over(0.0, bar, ruling, metre_map(self._metre), session.tempo)
        inside = (lines.steps >= -1e-9) & (lines.steps <= bar + 1e-9)
        return Lines(lines.steps[inside], lines.beats[inside])

    def _folded(self) -> _Folded | None:
        shown = self._desk.guiding
        if shown is None or not len(shown.targets):
            return None
        return _fold(shown, self._desk.session.metre, self._metre)

    def _x_of(self, beats: NDArray[np.float64]) -> NDArray[np.float64]:
        return SIDE + beats / self._metre.bar * (self.width() - 2 * SIDE)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme, metre = self._desk.view.theme, self._metre
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QPen(colour(theme.accent if self.hasFocus() else theme.rule), 1))
        painter.setBrush(colour(theme.paper))
        painter.drawRoundedRect(QRectF(0.5, 0.5, self.width() - 1, self.height() - 1), 6, 6)
        lines = self._lines()
        places = zip(lines.steps.tolist(), self._x_of(lines.beats).tolist(), strict=True)
        for number, (step, x) in enumerate(places):
            is_beat = abs(step / metre.beat - round(step / metre.beat)) < 1e-6
            is_at = self.hasFocus() and number == self._step
            value = theme.accent if is_at else theme.ink if is_beat else theme.strong_rule
            painter.setPen(QPen(colour(value), 2 if is_beat or is_at else 1))
            painter.drawLine(QPointF(x, 5 if is_beat else 14), QPointF(x, self.height() - 6))
        folded = self._folded()
        if folded is not None:
            self._paint_dots(painter, theme, folded)

    def _paint_dots(self, painter: QPainter, theme: Theme, folded: _Folded) -> None:
        some = np.arange(len(folded.beats))[:: max(1, len(folded.beats) // MOST_DOTS)]
        xs = self._x_of(folded.beats)
        ys = (self.height() - 12) - folded.height * (self.height() - 24)
        shown = self._desk.guiding
        window = max(2.0, shown.recipe.leave_alone if shown is not None else 0.0)
        on = np.abs(folded.drift) <= window
        picked = np.isin(folded.onsets, self._desk.view.chosen.onsets)
        painter.setPen(Qt.PenStyle.NoPen)
        for which, value, shape, size in (
            (some[(folded.drift[some] < 0) & ~on[some]], theme.early, up, 6.0),
            (some[(folded.drift[some] > 0) & ~on[some]], theme.late, down, 6.0),
            (some[on[some]], theme.ink, ring, 2.6),
            (np.flatnonzero(picked), theme.accent, ring, 3.6),
        ):
            painter.setBrush(colour(value, 170))
            points = zip(xs[which].tolist(), ys[which].tolist(), strict=True)
            paint_each(painter, shape, points, size)

    # Which step is meant

    def _step_at(self, x: float) -> int | None:
        lines = self._lines()
        xs = self._x_of(lines.beats)
        away = np.abs(xs - x)
        return int(away.argmin()) if len(xs) and away.min() <= max(REACH, np.diff(xs).min() / 2) else None

    def _choose(self, step: int) -> None:
        lines = self._lines()
        self._step = step % max(1, len(lines.steps) - 1)
        self.chosen.emit(float(lines.steps[self._step]))
        self.update()

    def words_of(self, step: int) -> str:
        """A step in a sentence: how many hits, how late, how sure."""
        folded, lines, bar = self._folded(), self._lines(), self._metre.bar
        beat = float(lines.steps[step]) % bar
        name = position_words(beat, metre_map(self._metre)).partition(".")[2]
        here = np.zeros(0, bool) if folded is None else np.abs(folded.steps - beat) < 1e-6
        if folded is None or not here.any():
            return tr("{0}: no hits", name)
        drift = folded.drift[here]
        middle = float(np.median(drift))
        side = tr("late") if middle > 0 else tr("early")
        return tr(
            "{0}: {1}, {2} ms {3}, half of them within ±{4:.1f} ms. Click to select them.",
            name,
            counted(int(here.sum()), "hit"),
            signed(middle),
            side,
            float(np.median(np.abs(drift - middle))),
        )

    def mousePressEvent(self, event: QMouseEvent) -> None:
        step = self._step_at(event.position().x())
        if step is not None:
            self._choose(step)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        steps = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1, Qt.Key.Key_Return: 0, Qt.Key.Key_Enter: 0}
        if event.key() in steps:
            self._choose(self._step + steps[Qt.Key(event.key())])
            self.setAccessibleDescription(self.words_of(self._step))
        else:
            super().keyPressEvent(event)

    def event(self, event: QEvent) -> bool:
        if event.type() is QEvent.Type.ToolTip and isinstance(event, QHelpEvent):
            step = self._step_at(event.pos().x())
            QToolTip.showText(event.globalPos(), "" if step is None else self.words_of(step), self)
            return True
        return super().event(event)


def _fold(shown: Shown, song: MetreMap, metre: Metre) -> _Folded:
    targets: Targets = shown.targets
    onsets = shown.recording.onsets
    order = np.argsort(onsets.id_array)
    at = order[np.searchsorted(onsets.id_array[order], targets.onsets)]
    levels = onsets.level_array[at]
    loudest = np.nanmax(levels) if not np.isnan(levels).all() else 0.0
    height = np.clip(1 + (levels - loudest) / QUIETEST, 0, 1)
    height = np.where(np.isnan(levels), targets.strengths / 100, height)
    _, steps = song.inside(targets.steps)
    beats = steps + (targets.fitted_beats - targets.steps)
    every = beats, targets.drift, height, steps, targets.onsets
    if song.changes:
        one = song.stretches[1][song.metres.index(metre)]
        here = song.kinds_at(targets.steps) == song.kinds_at(np.array([one]))
        every = tuple(each[here] for each in every)
    return _Folded(*every)
