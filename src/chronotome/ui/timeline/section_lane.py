"""Sections over the ruler: named spans to jump to and to loop."""

from functools import partial

from PySide6.QtCore import QPointF, QRect, QRectF, Qt
from PySide6.QtGui import QContextMenuEvent, QFontMetrics, QMouseEvent, QPainter, QPen
from PySide6.QtWidgets import QMenu

from chronotome.session.edits.sections import change_section
from chronotome.session.model import Section, Session
from chronotome.ui.commands.sections import SectionCommands
from chronotome.ui.desk import Desk
from chronotome.ui.theme import colour, text_font
from chronotome.ui.timeline.gestures import ValueDrag, is_free
from chronotome.ui.timeline.lane import HEADER
from chronotome.ui.timeline.track_lane import TrackLane

HEIGHT = 22
EDGE = 5


class SectionLane(TrackLane):
    """Click: jump there. Double-click: loop it. Drag an end: another span. It is there where sections are."""

    hint = "Click a section to jump there, double-click to loop it, drag its ends. Right-click for more."

    def __init__(self, desk: Desk, commands: SectionCommands) -> None:
        super().__init__(desk, "Sections")
        self._commands = commands
        self.setFixedHeight(HEIGHT)
        desk.store.watch(self, self._on_sections, lambda session: session.sections)

    def _on_sections(self) -> None:
        self.setVisible(bool(self.desk.session.sections))

    def paint_header(self, painter: QPainter) -> None:
        theme = self.desk.view.theme
        self.paint_words(painter, 3, "Sections", size=11, weight=400, value=theme.ink)

    def _ends(self, section: Section) -> tuple[float, float]:
        session = self.desk.session
        return (
            self.x_of(session.frame_of(section.start)),
            self.x_of(session.frame_of(section.end)),
        )

    def paint_content(self, painter: QPainter, content: QRect) -> None:
        theme, session = self.desk.view.theme, self.desk.session
        painter.fillRect(content, colour(theme.paper))
        font = text_font(11, 500)
        for section in session.sections:
            left, right = self._ends(section)
            if right < HEADER or left > self.width():
                continue
            is_looped = session.is_looping and session.loop is not None
            span = session.loop
            is_looped = (
                is_looped and span is not None and (span.start, span.end) == (section.start, section.end)
            )
            box = QRectF(left + 1, 3, right - left - 2, HEIGHT - 6)
            painter.setPen(QPen(colour(theme.strong_rule), 1))
            painter.setBrush(colour(theme.wash if is_looped else theme.panel))
            painter.drawRoundedRect(box, 4, 4)
            painter.setFont(font)
            painter.setPen(colour(theme.ink))
            begin = max(box.left(), HEADER) + 6
            room = int(box.right() - begin - 4)
            if room > 12:
                words = QFontMetrics(font).elidedText(section.name, Qt.TextElideMode.ElideRight, room)
                painter.drawText(QPointF(begin, HEIGHT - 7), words)

    # Mouse

    def _section_at(self, x: float) -> tuple[Section, str] | None:
        """The section under the pointer, and whether its start or end is taken."""
        edges: list[tuple[float, bool, Section, str]] = []
        inside: Section | None = None
        for section in self.desk.session.sections:
            left, right = self._ends(section)
            edges.append((abs(x - left), x < left, section, "start"))
            edges.append((abs(x - right), x >= right, section, "end"))
            inside = section if left <= x < right else inside
        away, _, nearest, end = min(edges, key=lambda edge: edge[:2], default=(EDGE + 1.0, False, None, ""))
        if nearest is not None and away <= EDGE:  # of two that touch, the one that the pointer is in
            return nearest, end
        return None if inside is None else (inside, "")

    def mousePressEvent(self, event: QMouseEvent) -> None:
        x = event.position().x()
        found = self._section_at(x)
        if event.button() is not Qt.MouseButton.LeftButton or found is None or x < HEADER:
            return
        section, end = found
        if end:
            edit = partial(_moved, section=section, end=end)
            self.drag = ValueDrag(self.desk, edit, "Change section")
        else:
            self._commands.go_to(section)

    def mouseMoveEvent(self, event: QMouseEvent) -> None:
        x = event.position().x()
        if isinstance(self.drag, ValueDrag):
            beat, bar = self.beat_of_x(x), self.desk.session.metre.beat
            self.drag.to(beat if is_free(event) else round(beat / bar) * bar)
            return
        found = self._section_at(x)
        is_edge = found is not None and bool(found[1])
        self.setCursor(Qt.CursorShape.SizeHorCursor if is_edge else Qt.CursorShape.ArrowCursor)

    def mouseDoubleClickEvent(self, event: QMouseEvent) -> None:
        found = self._section_at(event.position().x())
        if found is not None:
            self._commands.loop(found[0])

    def contextMenuEvent(self, event: QContextMenuEvent) -> None:
        found = self._section_at(event.pos().x())
        if found is None:
            return
        section = found[0]
        menu = QMenu(self)
        for words, do in (
            ("Jump there", self._commands.go_to),
            ("Loop", self._commands.loop),
            ("Rename…", self._commands.rename),
            ("Remove", self._commands.remove),
        ):
            menu.addAction(words, partial(do, section))
        menu.exec(event.globalPos())


def _moved(session: Session, beat: float, *, section: Section, end: str) -> Session:
    return change_section(session, section, **{end: beat})
