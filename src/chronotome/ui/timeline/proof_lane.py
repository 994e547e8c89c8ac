"""Proof: every join of what is heard now, by how much it is rougher or smoother than the recording."""

import numpy as np
from PySide6.QtCore import QPointF, QRect, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPen
from PySide6.QtWidgets import QMenu

from chronotome.dsp.clicks import ALLOWED
from chronotome.render.join_report import JoinReport
from chronotome.ui.commands.proving import ProofCommands
from chronotome.ui.state.figures import signed
from chronotome.ui.state.theme import colour, text_font
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.lane import HEADER, Lane
from chronotome.words import tr

LOWEST, HIGHEST = -60.0, 12.0
NEAR = 5
MARGIN = 16


class ProofLane(Lane):
    """Evidence of Export: stems up to each join's level against the recording's roughest place."""

    hint = tr(
        "Click a join to go there, right-click it for fixes. N: next click.\nThe height "
        "of a join is its roughness in dB, compared with the roughest place in the "
        "recording."
    )

    def __init__(self, desk: UiContext, commands: ProofCommands) -> None:
        super().__init__(desk, tr("Audible joins"))
        self.setMinimumHeight(120)
        self._commands = commands
        desk.proving.proved.connect(self.update)

    @property
    def proof(self) -> JoinReport | None:
        return self.desk.proving.proof

    def join_at(self, x: float) -> int | None:
        """The join under the pointer; of several the roughest."""
        proof = self.proof
        near = (
            np.zeros(0, int) if proof is None else np.flatnonzero(np.abs(self.xs_of(proof.joins) - x) <= NEAR)
        )
        return None if proof is None or not len(near) else int(near[proof.levels[near].argmax()])

    def mousePressEvent(self, event: QMouseEvent) -> None:
        number = self.join_at(event.position().x())
        if event.position().x() < HEADER:
            return
        if number is None:
            if event.button() is Qt.MouseButton.LeftButton:
                self.desk.transport.go_to(max(0.0, self.frame_of(event.position().x())))
            return
        self._commands.go_to(number)
        if event.button() is Qt.MouseButton.RightButton:
            self.offer(number).popup(event.globalPosition().toPoint())

    def offer(self, number: int) -> QMenu:
        """What would mend a join."""
        menu = QMenu(self)
        menu.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        for words, do in self._commands.mends(number):
            menu.addAction(words).triggered.connect(do)
        if menu.isEmpty():
            menu.addAction(tr("Nothing to fix here")).setEnabled(False)
        return menu

    def _y_of(self, level: float) -> float:
        share = (np.clip(level, LOWEST, HIGHEST) - LOWEST) / (HIGHEST - LOWEST)
        return self.height() - MARGIN - float(share) * (self.height() - 2 * MARGIN)

    def paint_header(self, painter: QPainter) -> None:
        theme = self.desk.view.theme
        y = self.paint_words(painter, 8, tr("Joins"), size=13, weight=600, value=theme.ink)
        y = self.paint_words(painter, y, tr("roughness, dB"), size=10, weight=400, value=theme.soft_ink)
        if self.proof is not None:
            words = tr("{0} joins", len(self.proof.joins))
            y = self.paint_words(painter, y + 4, words, size=11, weight=500, value=theme.ink)
            words = tr("{0} clicks", self.proof.clicks) if self.proof.clicks else tr("no clicks")
            value = theme.late if self.proof.clicks else theme.ink
            self.paint_words(painter, y, words, size=11, weight=500, value=value)

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme = self.desk.view.theme
        painter.fillRect(content, colour(theme.paper))
        self.paint_grid(painter, content)
        for level, value in ((ALLOWED, theme.late), (0.0, theme.soft_ink), (-30.0, theme.rule)):
            y = self._y_of(level)
            painter.setPen(QPen(colour(value), 1, Qt.PenStyle.DotLine))
            painter.drawLine(QPointF(content.left(), y), QPointF(content.right() - 34, y))
            self.paint_axis_label(painter, y, signed(level, 0))
        if self.proof is None:
            painter.setFont(text_font(12))
            painter.setPen(colour(theme.soft_ink))
            painter.drawText(
                content,
                Qt.AlignmentFlag.AlignCenter,
                tr("Checking joins…") if self.desk.session.tracks else "",
            )
            return
        xs = self.xs_of(self.proof.joins)
        for at in np.flatnonzero((xs > HEADER - 4) & (xs < self.width() + 4)).tolist():
            level = float(self.proof.levels[at])
            is_click = level > ALLOWED
            painter.setPen(QPen(colour(theme.late if is_click else theme.ink), 1.4))
            painter.drawLine(QPointF(xs[at], self.height() - MARGIN), QPointF(xs[at], self._y_of(level)))
            painter.setBrush(colour(theme.card))
            painter.drawEllipse(QPointF(xs[at], self._y_of(level)), 2.6, 2.6)
