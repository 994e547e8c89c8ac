"""The five stages as cards, each with its key figure: the summary of the job."""

from dataclasses import dataclass

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QKeyEvent, QMouseEvent, QPainter, QPaintEvent, QPen, QResizeEvent
from PySide6.QtWidgets import QAbstractButton, QWidget

from chronotome.session.anchors import heard_beats_of
from chronotome.session.counting import counted_of, inside_of
from chronotome.session.edits.fitting import TempoSync, bars_in, following_of
from chronotome.session.fit_checks import fit_checks_of
from chronotome.session.follow import beats_of
from chronotome.session.model import Session, Take, Track
from chronotome.session.targets import FAR_MS
from chronotome.session.tighten import targets_of
from chronotome.ui.controls.debounce import Debounce
from chronotome.ui.controls.plain_text import tip
from chronotome.ui.state.figures import counted, plain, tempo_words
from chronotome.ui.state.guarded import guarded
from chronotome.ui.state.theme import colour, figure_font, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr

WIDTH = 112
CARD = 84
BADGE = 20
TOP = 8
NOTHING_YET = tr("nothing yet")
WHOLE_BAR = 0.02


@dataclass(frozen=True)
class Figures:
    """What a card shows: the key figure, a line about it, and how many places need a look."""

    key: str
    about: str = ""
    to_check: int = 0


class StageCard(QAbstractButton):
    def __init__(self, desk: UiContext, stage: Stage) -> None:
        super().__init__()
        self._desk, self.stage = desk, stage
        self.figures = Figures("")
        self.setFixedHeight(CARD)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self.setFocusPolicy(Qt.FocusPolicy.TabFocus)

    def show_figures(self, figures: Figures) -> None:
        if figures != self.figures:
            self.figures = figures
            checks = tr(", {0} to check", figures.to_check) if figures.to_check else ""
            about = figures.about.replace("\n", ", ")
            self.setAccessibleName(f"{self.stage.words}: {figures.key}, {about}{checks}")
            self.setToolTip(tip(f"{self.stage.words} ({int(self.stage)})\n{figures.key}\n{figures.about}"))
            self.update()

    def mousePressEvent(self, _event: QMouseEvent) -> None:
        self._desk.view.show_stage(self.stage)

    def keyPressEvent(self, event: QKeyEvent) -> None:
        if event.key() in {Qt.Key.Key_Return, Qt.Key.Key_Enter}:
            self._desk.view.show_stage(self.stage)
        else:
            super().keyPressEvent(event)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._desk.view.theme
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        is_current = self._desk.view.stage is self.stage
        if is_current or self.hasFocus():
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(colour(theme.card if is_current else theme.rule))
            painter.drawRoundedRect(QRectF(8, 0, self.width() + 8, CARD - 2), 6, 6)
        if is_current:
            painter.setBrush(colour(theme.accent))
            painter.drawRoundedRect(QRectF(8, 10, 3, CARD - 22), 1.5, 1.5)
        if self.hasFocus():
            painter.setPen(QPen(colour(theme.accent), 1.5))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawRoundedRect(QRectF(9, 1, self.width() - 11, CARD - 4), 6, 6)
        painter.setFont(figure_font(10))
        painter.setPen(colour(theme.accent if is_current else theme.soft_ink))
        painter.drawText(QPointF(20, 24), str(int(self.stage)))
        painter.setFont(text_font(14, 600))
        painter.setPen(colour(theme.ink if is_current else theme.soft_ink))
        painter.drawText(QPointF(36, 24), self.stage.words)
        painter.setPen(colour(theme.ink))
        room = self.width() - 26 - (BADGE if self.figures.to_check else 0)  # the badge covers no figure
        for size in (12, 11, 10, 9):
            painter.setFont(figure_font(size, 500))
            if painter.fontMetrics().horizontalAdvance(self.figures.key) <= room:
                break
        key = painter.fontMetrics().elidedText(self.figures.key, Qt.TextElideMode.ElideMiddle, room)
        painter.drawText(QPointF(20, 45), key)
        painter.setFont(text_font(10))
        painter.setPen(colour(theme.soft_ink))
        for row, words in enumerate(self.figures.about.split("\n")):
            room = self.width() - 22
            words = painter.fontMetrics().elidedText(words, Qt.TextElideMode.ElideRight, room)  # noqa: PLW2901
            painter.drawText(QPointF(20, 61 + 14 * row), words)
        if self.figures.to_check:
            self._paint_count(painter)

    def _paint_count(self, painter: QPainter) -> None:
        theme = self._desk.view.theme
        words = str(self.figures.to_check) if self.figures.to_check < 100 else "99+"
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(colour(theme.late))
        box = QRectF(self.width() - 24, 33, 21, 17)
        painter.drawRoundedRect(box, 8.5, 8.5)
        painter.setPen(colour(theme.on_ink))
        painter.setFont(figure_font(10, 500))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, words)


def _fit_figures(session: Session, guide: Track, take: Take) -> Figures:
    """The recording's bpm and bars, whether beat one is set, and how far it is from a steady tempo."""
    if take.playing is not None:
        return Figures(tr("{0} bpm", tempo_words(session.tempo)), tr("a pattern keeps\nthe song tempo"))
    beats = beats_of(session, take)
    if beats is None:
        return Figures(tr("no beats yet"), tr("tap or set bars"))
    bars = bars_in(session, take)
    fit = session.recording_of(take).fit
    is_set = (
        fit.beat_one is not None
        or session.is_beat_one_set
        or following_of(session, guide.id) is not TempoSync.NOBODY
    )
    near = round(bars)
    words = counted(near, "bar") if abs(bars - near) < WHOLE_BAR else tr("{0} bars", plain(bars, 1))
    heard = heard_beats_of(session, guide, take) or beats
    return Figures(
        tr("{0} bpm", plain(beats.tempo, 2)),
        tr("drift ±{0} ms\n{1}", plain(heard.residual), words if is_set else tr("beat one not set")),
        len(fit_checks_of(session, guide)),
    )


def _tighten_figures(desk: UiContext, guide: Track, take: Take) -> Figures:
    """How far every hit is from its line; nothing against a tempo that nobody chose."""
    if not desk.session.is_tempo_set:
        return Figures(tr("no tempo"), tr("set it in Fit"))
    targets = targets_of(desk.session, guide, take)
    return Figures(
        tr("±{0} ms", plain(targets.spread_now)),
        tr("was ±{0}\n{1} over {2:.0f} ms", plain(targets.spread_before), targets.far_now, FAR_MS),
        len(desk.checks(guide, take)),
    )


def _rework_figures(session: Session, take: Take) -> Figures:
    """The hits of a take that was taken apart, else how many clips there are."""
    tracks, clips = counted(len(session.tracks), "track"), counted(sum(1 for _ in session.clips), "clip")
    pattern = session.pattern_of(take)
    if pattern is not None:
        bars = tr(
            "{0} bars",
            plain(session.metre.seen_from(take.beat).bar_at(pattern.beats), 2).rstrip("0").rstrip("."),
        )
        return Figures(counted(len(pattern), "step"), tr("pattern of {0}\n{1} · {2}", bars, clips, tracks))
    if take.slices is None:
        return Figures(clips, tracks)
    return Figures(counted(len(take.slices), "hit"), f"{clips} · {tracks}")


class Rail(QWidget):
    """Cards at the left, top to bottom in the order of work."""

    shown = Signal()
    """Figures of cards are others."""

    def __init__(self, desk: UiContext) -> None:
        super().__init__()
        self.setObjectName("rail")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self._desk = desk
        self.exported = NOTHING_YET
        self.cards = {stage: StageCard(desk, stage) for stage in Stage}
        for place, card in enumerate(self.cards.values()):
            card.setParent(self)
            card.move(0, TOP + place * (CARD + 4))
        view = desk.view
        for signal in (view.stage_changed, view.theme_changed):
            signal.connect(self._repaint)
        view.chosen.focus_changed.connect(self._show)
        self._soon = Debounce(self._show, self)
        desk.store.changed.connect(self._soon.ask)
        desk.tasks.changed.connect(self._soon.ask)
        desk.rendering.checked.connect(self._soon.ask)
        self._show()

    def show_exported(self, words: str) -> None:
        self.exported = words
        self._show()

    def _repaint(self) -> None:
        self.update()
        for card in self.cards.values():
            card.update()

    def _show(self) -> None:
        for stage, figures in self._figures().items():
            self.cards[stage].show_figures(figures)
        self.shown.emit()

    def resizeEvent(self, event: QResizeEvent) -> None:
        super().resizeEvent(event)
        for card in self.cards.values():
            card.resize(self.width(), CARD)

    def _figures(self) -> dict[Stage, Figures]:
        session, track = self._desk.session, self._desk.view.chosen.focused
        shown = self._desk.shown
        if track is None or shown is None:
            return {stage: Figures(NOTHING_YET) for stage in Stage}
        take = shown.take
        recording = session.recording_of(take)
        if not recording.is_analysed:
            is_looking = self._desk.analyses.is_looking(recording)
            looking = (
                Figures(tr("detecting…")) if is_looking else Figures(tr("not analysed"), tr("Detect onsets"))
            )
            return dict.fromkeys(Stage, looking) | {Stage.EXPORT: Figures(self.exported)}
        counted_onsets = int(np.count_nonzero(counted_of(session, take)))
        faint = int(np.count_nonzero(inside_of(session, take))) - counted_onsets
        return {
            Stage.MARK: Figures(
                counted(counted_onsets, "onset"),
                tr("{0} faint hidden", faint),
                len(self._desk.mark_checks(track, take)),
            ),
            Stage.FIT: _fit_figures(session, *session.leading(track, take)),
            Stage.TIGHTEN: _tighten_figures(self._desk, *session.leading(track, take)),
            Stage.REWORK: _rework_figures(session, take),
            Stage.EXPORT: Figures(self.exported),
        }

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._desk.view.theme
        painter.fillRect(self.rect(), colour(theme.panel))
        painter.setPen(colour(theme.rule))
        painter.drawLine(self.width() - 1, 0, self.width() - 1, self.height())
        painter.setPen(colour(theme.soft_ink))
        painter.setFont(text_font(10))
        painter.drawText(QPointF(16, self.height() - 30), tr("Stages  1 – 5"))
        painter.drawText(QPointF(16, self.height() - 14), tr("Next check  N"))
