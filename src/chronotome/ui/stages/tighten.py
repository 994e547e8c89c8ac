"""The tray of Tighten: from grid to sound, every setting live."""

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QMouseEvent, QPainter, QPaintEvent, QPen
from PySide6.QtWidgets import QVBoxLayout, QWidget

from chronotome.dsp.stretch.segment import MoveBy
from chronotome.session.checks import NOTHING, Check, checks_of
from chronotome.session.edits.tightening import ALL, set_recipe
from chronotome.session.edits.tracks import set_move_by
from chronotome.session.grid import DIVISIONS, Feel, Grid, bar_lines, position_words
from chronotome.session.model import Session, Take, Track, replace
from chronotome.session.strokes import USUAL_STROKE
from chronotome.ui.action_table import SHORT
from chronotome.ui.actions import Actions
from chronotome.ui.commands.general import Commands
from chronotome.ui.controls.figures import signed
from chronotome.ui.controls.segmented import index_in
from chronotome.ui.controls.soon import Soon
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.desk import Desk
from chronotome.ui.guarded import guarded
from chronotome.ui.stages.tray import Tray
from chronotome.ui.theme import colour, figure_font, text_font
from chronotome.ui.view_state import Stage

FEELS = tuple(Feel)
WAYS = tuple(MoveBy)
MOST_CHECKS = 4


def _catch_words(percent: float) -> str:
    return "all" if percent >= 100 else f"{percent:.0f} %"


class BarOfLines(QWidget):
    """One bar of the grid as it is, swing and all."""

    def __init__(self, desk: Desk) -> None:
        super().__init__()
        self._desk = desk
        self.setFixedHeight(44)
        self.setAccessibleName("One bar of the grid")
        for signal in (desk.view.theme_changed, desk.view.focus_changed, desk.store.changed):
            signal.connect(self.update)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme, metre = self._desk.view.theme, self._desk.session.metre
        grid, swing = self._desk.view.tighten_grid
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QPen(colour(theme.rule), 1))
        painter.setBrush(colour(theme.paper))
        painter.drawRoundedRect(QRectF(0.5, 0.5, self.width() - 1, self.height() - 1), 6, 6)
        for line in bar_lines(grid, metre, swing):
            x = 12 + line / metre.bar * (self.width() - 24)
            is_beat = abs(line / metre.beat - round(line / metre.beat)) < 1e-6
            painter.setPen(QPen(colour(theme.ink if is_beat else theme.soft_ink), 2 if is_beat else 1))
            top = 8 if is_beat else 22
            painter.drawLine(QPointF(x, top), QPointF(x, self.height() - 8))


class CheckRow(QWidget):
    """A place to check; click to go there."""

    def __init__(self, desk: Desk, commands: Commands, check: Check) -> None:
        super().__init__()
        self._desk, self._commands, self.check = desk, commands, check
        self.setFixedHeight(30)
        self.setCursor(Qt.CursorShape.PointingHandCursor)
        self.setToolTip(check.sentence.replace("\n", " "))
        self.setAccessibleName(f"{check.title}, {check.figure}")

    def mousePressEvent(self, _event: QMouseEvent) -> None:
        self._commands.go_to_check(self.check)

    @guarded
    def paintEvent(self, painter: QPainter, _event: QPaintEvent) -> None:
        theme = self._desk.view.theme
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        is_selected = self._desk.view.selected == self.check.onset
        box = QRectF(0.5, 0.5, self.width() - 1, self.height() - 1)
        painter.setPen(QPen(colour(theme.strong_rule if is_selected else theme.rule), 1))
        painter.setBrush(colour(theme.wash if is_selected else theme.paper))
        painter.drawRoundedRect(box, 6, 6)
        painter.setPen(colour(theme.ink))
        painter.setFont(figure_font(11))
        where = position_words(self.check.beat, self._desk.session.metre)
        painter.drawText(box.adjusted(8, 0, 0, 0), Qt.AlignmentFlag.AlignVCenter, where)
        painter.setFont(text_font(11))
        painter.drawText(box.adjusted(66, 0, 0, 0), Qt.AlignmentFlag.AlignVCenter, self.check.title)
        painter.setFont(figure_font(11))
        painter.setPen(colour(theme.late))
        flags = Qt.AlignmentFlag.AlignVCenter | Qt.AlignmentFlag.AlignRight
        painter.drawText(box.adjusted(0, 0, -8, 0), flags, self.check.figure)


class TightenTray(Tray):
    def __init__(self, desk: Desk, actions: Actions, commands: Commands) -> None:
        super().__init__(desk, actions, Stage.TIGHTEN, "live · nothing is committed")
        self._commands = commands
        self.add_label("Grid")
        self.division = self.choice(
            "Grid", [f"1/{division}" for division in DIVISIONS], self._set_division, "Set grid"
        )
        self.feel = self.choice("Feel of the grid", [str(feel) for feel in FEELS], self._set_feel, "Set grid")
        self.add(BarOfLines(desk))
        view = desk.view
        self.swing = ValueSlider(view, "Swing", 50, 75, lambda value: f"{value:.0f} %", step=1, usual=50)
        self.strength = ValueSlider(view, "Strength", 0, 100, lambda value: f"{value:.0f} %", usual=0)
        self.alone = ValueSlider(view, "Leave alone within", 0, 30, lambda value: f"±{value:.0f} ms", usual=0)
        for slider, edit, label in (
            (self.swing, self._set_swing, "Set swing"),
            (self.strength, self._set_strength, "Set strength"),
            (self.alone, self._set_alone, "Set leave-alone window"),
        ):
            self.add(slider)
            self.bind(slider, edit, label)
        with self.folded("Which hit takes a line") as self.fold:
            self.stroke = ValueSlider(
                view, "One stroke within", 0, 100, lambda value: f"{value:.0f} ms", usual=USUAL_STROKE
            )
            self.catch = ValueSlider(view, "Catch range", 5, 100, _catch_words, step=5, usual=100)
            for slider, edit, label in (
                (self.stroke, self._set_stroke, "Set stroke"),
                (self.catch, self._set_catch, "Set catch range"),
            ):
                self.add(slider)
                self.bind(slider, edit, label)
            (self.own,) = self.add_buttons("own-recipe")
        self.add_rule()
        self.add_label("Move the audio by")
        ways = [str(way).capitalize() for way in WAYS]
        self.way = self.choice("Move the audio by", ways, self._set_way, "Move the audio another way")
        self.add_rule()
        self.add_buttons("reset-hit", "reset-hits")
        self.to_check = self.add_label("To check", "heading")
        self._checks = QVBoxLayout()
        self._checks.setSpacing(4)
        self.rows.addLayout(self._checks)
        self.decisions = self.add_buttons("to-earlier", "leave-hit", "to-later")
        for button, words in zip(self.decisions, ("Earlier line", "Leave", "Later line"), strict=True):
            button.setText(words)
        self._check_rows: list[CheckRow] = []
        self._soon = Soon(self._show_checks, self)
        self.finish()
        desk.view.focus_changed.connect(self._show)
        desk.view.selection_changed.connect(self._show_selection)
        desk.view.selection_changed.connect(self._show)
        desk.store.changed.connect(self._show)
        self._show()

    @property
    def _guide(self) -> Track | None:
        track = self.desk.view.focused
        return None if track is None else self.desk.session.track(self.desk.session.guide_of(track.id))

    def _set(self, session: Session, **values: object) -> Session:
        guide = self._guide
        return (
            session if guide is None else set_recipe(session, guide.id, self._leading(session), ALL, **values)
        )

    def _leading(self, session: Session) -> Take | None:
        """The take that is worked on, as it is in that session: the one that leads it, where it is led."""
        guide, shown = self._guide, self.desk.guiding
        if guide is None or shown is None:
            return None
        known = {clip.id: clip.take for clip in session.track(guide.id).clips}
        return known.get(shown.clip.id)

    def _set_division(self, session: Session, index: int) -> Session:
        return self._set(session, grid=replace(self.desk.view.tighten_grid[0], division=DIVISIONS[index]))

    def _set_feel(self, session: Session, index: int) -> Session:
        return self._set(session, grid=replace(self.desk.view.tighten_grid[0], feel=FEELS[index]))

    def _set_swing(self, session: Session, value: float) -> Session:
        return self._set(session, swing=value)

    def _set_strength(self, session: Session, value: float) -> Session:
        return self._set(session, strength=round(value / 100, 4))

    def _set_alone(self, session: Session, value: float) -> Session:
        return self._set(session, leave_alone=value)

    def _set_stroke(self, session: Session, value: float) -> Session:
        return self._set(session, stroke=value)

    def _set_catch(self, session: Session, value: float) -> Session:
        return self._set(session, catch=round(value / 100, 4))

    def _set_way(self, session: Session, index: int) -> Session:
        guide = self._guide
        return session if guide is None else set_move_by(session, guide.id, WAYS[index])

    def _show(self) -> None:
        guide = self._guide
        self.setEnabled(guide is not None)
        if guide is None:
            return
        take = self._leading(self.desk.session)
        settings = guide.tighten if take is None else guide.recipe_of(take)
        track = self.desk.view.focused
        is_led = track is not None and track.id != guide.id
        is_own = take is not None and take.tighten is not None
        self.own.setText("The track’s recipe for this clip" if is_own else SHORT["own-recipe"])
        whose = "of this clip" if is_own else "live · nothing is committed"
        self.about.setText(f"led by {guide.name}" if is_led else whose)
        self.division.set_index(index_in(DIVISIONS, settings.grid.division))
        self.feel.set_index(index_in(FEELS, settings.grid.feel))
        self.swing.set_value(settings.swing, self._swing_note(settings.grid, settings.swing))
        self.swing.setEnabled(settings.grid.feel is Feel.STRAIGHT)
        self.strength.set_value(round(settings.strength * 100, 2))
        self.alone.set_value(settings.leave_alone)
        self.stroke.set_value(settings.stroke, "less at fast grids")
        self.catch.set_value(round(settings.catch * 100), "" if settings.catch >= 1 else "of half a step")
        self.way.set_index(WAYS.index(guide.move_by))
        self._soon.ask()

    def _swing_note(self, grid: Grid, swing: float) -> str:
        """By how much the second line of a pair is moved."""
        beats = 2 * grid.step * (swing / 100 - 0.5)
        milliseconds = beats * 60000 / self.desk.session.tempo.beats_per_minute
        if not milliseconds or grid.feel is not Feel.STRAIGHT:
            return ""
        decimals = 0 if milliseconds >= 10 else 1
        return f"{signed(milliseconds, decimals)} ms on off-{grid.division}ths"

    @property
    def _take(self) -> Take | None:
        shown = self.desk.guiding
        return None if shown is None else shown.take

    def _show_checks(self) -> None:
        guide = self._guide
        checks = NOTHING if guide is None else checks_of(self.desk.session, guide, self._take)
        more = f", {len(checks) - MOST_CHECKS} more: N" if len(checks) > MOST_CHECKS else ""
        self.to_check.setText(f"To check: {len(checks)}{more}" if checks else "Nothing to check")
        if [row.check for row in self._check_rows] == list(checks[:MOST_CHECKS]):
            self._show_selection()
            return
        for row in self._check_rows:
            row.hide()
            self._checks.removeWidget(row)
            row.deleteLater()
        self._check_rows = [CheckRow(self.desk, self._commands, check) for check in checks[:MOST_CHECKS]]
        for row in self._check_rows:
            self._checks.addWidget(row)
        self._show_selection()

    def _show_selection(self) -> None:
        for row in self._check_rows:
            row.update()
        guide = self._guide
        check = (
            None
            if guide is None
            else checks_of(self.desk.session, guide, self._take).of(self.desk.view.selected)
        )
        for button in self.decisions:
            button.setEnabled(check is not None and check.earlier is not None)
            button.setVisible(len(self._check_rows) > 0)
