"""Play, position, tempo, metre, snap, what is listened to, level."""

from operator import attrgetter

from PySide6.QtCore import QSize, Qt
from PySide6.QtGui import QResizeEvent
from PySide6.QtWidgets import (
    QComboBox,
    QFrame,
    QHBoxLayout,
    QPushButton,
    QVBoxLayout,
    QWidget,
)

from chronotome.bridge.store import WatchedPart
from chronotome.render.mix import Side
from chronotome.session.edits.fitting import led
from chronotome.session.edits.metre import set_metre_at
from chronotome.session.edits.tempo import set_tempo_at
from chronotome.session.grid import DIVISIONS, FASTEST, SLOWEST, Feel, Grid
from chronotome.session.metre import METRES, Metre, beat_in, metre_of, position_words
from chronotome.ui.actions.actions import Actions
from chronotome.ui.controls.field import Field
from chronotome.ui.controls.meter import Meter
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.typed import FigureLabel, number_in
from chronotome.ui.state.figures import clock, grid_words, plain
from chronotome.ui.state.theme import icon
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

HEIGHT = 52
NARROW = 1180
SIDES = (Side.AS_PLAYED, Side.EDITED)

SNAPS = {
    Feel.STRAIGHT: DIVISIONS,
    Feel.TRIPLET: (4, 8, 16, 32),
    Feel.DOTTED: (4, 8, 16),
    Feel.QUINTUPLET: (8, 16),
    Feel.SEPTUPLET: (8, 16),
}
"""Grids that are drawn and snapped to."""


BUTTONS = ("play", "return", "loop", "click", "play-keys", "play-in")
ICONS = {"play-keys": "keys", "play-in": "record"}

SHOWN: tuple[WatchedPart, ...] = tuple(
    map(attrgetter, ("tempo", "metre", "rate", "click", "loop", "is_looping"))
)
"""What it shows of a session."""


class TransportBar(QWidget):
    def __init__(self, desk: UiContext, actions: Actions) -> None:
        super().__init__()
        self.setObjectName("transport")
        self.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        self.setFixedHeight(HEIGHT)
        self._desk, self._actions = desk, actions
        layout = QHBoxLayout(self)
        layout.setContentsMargins(16, 4, 16, 4)
        layout.setSpacing(8)
        self._buttons = {name: self._button(name) for name in BUTTONS}
        self.play = self._buttons["play"]
        for button in self._buttons.values():
            layout.addWidget(button)
        layout.addSpacing(12)
        self._add_fields(layout)
        layout.addStretch(1)
        self._add_listening(layout)
        desk.transport.moved.connect(self._on_moved)
        desk.transport.playing_changed.connect(self._show)
        desk.transport.side_changed.connect(self._show)
        desk.view.theme_changed.connect(self._show)
        desk.keys.changed.connect(self._show)
        desk.playing_in.changed.connect(self._show)
        desk.view.snap_changed.connect(self._show)
        desk.view.sight.viewport_changed.connect(self._show_snap)
        self._theme_shown = ""
        desk.store.watch(self, self._show, *SHOWN)

    def _add_fields(self, layout: QHBoxLayout) -> None:
        """Where it is, and the song's tempo, metre and snap."""
        self.bar, self.clock = self._figure(84, tr("Bar")), self._figure(92, tr("Time"))
        self.bar.typed.connect(self._on_bar)
        self.clock.typed.connect(self._on_clock)
        layout.addLayout(self._captioned(tr("BAR"), self.bar))
        layout.addLayout(self._captioned(tr("TIME"), self.clock))
        layout.addWidget(self._rule())
        self.tempo = Field(tr("Tempo in beats per minute"), is_number=True, confirms=True)
        self.tempo.setObjectName("figure")
        self.tempo.setFixedWidth(76)
        self.tempo.setToolTip(tr("Song tempo: type or tap"))
        self.tempo.kept.connect(self._on_tempo)
        layout.addLayout(self._captioned(tr("TEMPO"), self.tempo))
        self._tap = QPushButton(tr("Tap"))
        self._actions.attach(self._tap, "tap")
        layout.addWidget(self._tap)
        self.metre = QComboBox()
        self.metre.setAccessibleName(tr("Metre"))
        self.metre.addItems([each.words for each in METRES])
        self.metre.activated.connect(self._on_metre)
        layout.addLayout(self._captioned(tr("METRE"), self.metre))
        self.snap = QComboBox()
        self.snap.setAccessibleName(tr("Snap"))
        self.snap.setToolTip(tr("Snap grid: follows the zoom, or fixed"))
        self._grids = [Grid(division, feel) for feel, divisions in SNAPS.items() for division in divisions]
        self.snap.addItems([tr("follows zoom"), *(grid_words(grid) for grid in self._grids), tr("off")])
        self.snap.activated.connect(self._on_snap)
        layout.addLayout(self._captioned(tr("SNAP"), self.snap))

    def _add_listening(self, layout: QHBoxLayout) -> None:
        desk = self._desk
        self._label = Label(tr("Listen to"))
        self._label.setObjectName("soft")
        layout.addWidget(self._label)
        self.listen = Segmented(desk.view, tr("Listen to"), [tr("As played"), tr("Edited")], is_round=True)
        self.listen.setFixedWidth(184)
        self.listen.setToolTip(
            tr("Switch between as played and edited at equal level ({0})", self._actions.keys("listen"))
        )
        self.listen.chosen.connect(lambda index: desk.transport.listen(SIDES[index]))
        layout.addWidget(self.listen)
        self.meter = Meter(desk.view)
        layout.addWidget(self.meter)
        desk.transport.levels.connect(self.meter.show_levels)
        desk.taking.heard.connect(lambda peak, _frames: self.meter.show_input(peak))
        desk.taking.changed.connect(self._on_taking)

    def _on_taking(self) -> None:
        """While a take is recorded, what ends it is red."""
        taking, play = self._desk.taking, self._buttons["play"]
        if not taking.is_open:
            self.meter.show_input(None)
        if bool(play.property("recording")) is not taking.is_on:
            play.setProperty("recording", taking.is_on)
            play.style().unpolish(play)
            play.style().polish(play)

    def resizeEvent(self, event: QResizeEvent) -> None:
        """In a narrow window all is closer, the meter is shorter, and the choice speaks for itself."""
        super().resizeEvent(event)
        is_narrow = self.width() < NARROW
        self._label.setVisible(not is_narrow)
        self.meter.setFixedWidth(64 if is_narrow else 106)
        self.listen.setFixedWidth(154 if is_narrow else 184)
        self.bar.setMinimumWidth(70 if is_narrow else 84)
        self.clock.setMinimumWidth(82 if is_narrow else 92)
        layout = self.layout()
        if layout is not None:
            layout.setSpacing(5 if is_narrow else 8)
            layout.setContentsMargins(10 if is_narrow else 16, 4, 10 if is_narrow else 16, 4)

    def _button(self, name: str) -> QPushButton:
        button = QPushButton()
        button.setObjectName("play" if name == "play" else "tool")
        size = 34 if name == "play" else 30
        button.setFixedSize(size, size)
        button.setIconSize(QSize(20, 20))
        button.setCheckable(name in {"loop", "click", "play-keys", "play-in"})
        self._actions.attach(button, name)
        return button

    @staticmethod
    def _figure(width: int, name: str) -> FigureLabel:
        label = FigureLabel()
        label.setObjectName("bigfigure")
        label.setAccessibleName(name)
        label.setToolTip(tr("Playhead {0}: double-click to type a position", name))
        label.setMinimumWidth(width)
        return label

    @staticmethod
    def _captioned(words: str, widget: QWidget) -> QVBoxLayout:
        layout = QVBoxLayout()
        layout.setSpacing(0)
        caption = Label(words)
        caption.setObjectName("caption")
        layout.addStretch(1)
        layout.addWidget(caption)
        layout.addWidget(widget)
        layout.addStretch(1)
        return layout

    @staticmethod
    def _rule() -> QFrame:
        line = QFrame()
        line.setFrameShape(QFrame.Shape.VLine)
        line.setStyleSheet("color: palette(mid);")
        return line

    def _on_bar(self, text: str) -> None:
        """Bar, beat and sixteenth, counted from 1; what is left out is 1."""
        metre = self._desk.session.metre
        beat = beat_in(text, metre)
        if beat is not None:
            self._go_to(self._desk.session.tempo.seconds_of(beat))

    def _on_clock(self, text: str) -> None:
        """Minutes and seconds, or seconds alone."""
        parts = [number_in(part) for part in text.split(":")]
        seconds = [part for part in parts if part is not None]
        if seconds and len(seconds) == len(parts):
            self._go_to(sum(part * 60**place for place, part in enumerate(reversed(seconds))))

    def _go_to(self, seconds: float) -> None:
        frame = min(max(0.0, seconds * self._desk.session.rate), float(self._desk.view.sight.extent))
        self._desk.transport.go_to(frame)
        self._desk.view.sight.center_on(frame)

    def _on_moved(self, frame: float) -> None:
        session = self._desk.session
        seconds = frame / session.rate
        beat = session.tempo.beat_of(seconds)
        self.bar.setText(position_words(beat, session.metre))
        self.clock.setText(clock(seconds))
        self.tempo.show_text(plain(session.timebase.tempo_at(beat), 2))
        self._show_metre(session.metre.metre_at(beat))

    def _show_metre(self, metre: Metre) -> None:
        """That at the playhead; one that is not on offer is added."""
        if self.metre.currentText() != metre.words:
            if self.metre.findText(metre.words) < 0:
                self.metre.addItem(metre.words)
            self.metre.setCurrentText(metre.words)

    def _show(self) -> None:
        session, theme, transport = self._desk.session, self._desk.view.theme, self._desk.transport
        self._buttons["loop"].setChecked(session.is_looping)
        self._buttons["click"].setChecked(session.click.is_on)
        self._buttons["play-keys"].setChecked(self._desk.keys.is_on)
        self._buttons["play-in"].setChecked(self._desk.playing_in.is_on)
        self.listen.set_index(SIDES.index(transport.side))
        look = f"{theme.name} {transport.is_playing}"
        if look != self._theme_shown:
            self._theme_shown = look
            for name, button in self._buttons.items():
                shown = "stop" if name == "play" and transport.is_playing else ICONS.get(name, name)
                button.setIcon(icon(shown, theme.on_ink if name == "play" else theme.ink))
        self._on_moved(transport.position)
        self._show_snap()

    def _show_snap(self) -> None:
        """Called at every move of the viewport: touches the box only where its words change."""
        view = self._desk.view
        words = tr("{0} · zoom", grid_words(view.grid)) if view.snap_follows_zoom else tr("follows zoom")
        if words != self.snap.itemText(0):
            self.snap.setItemText(0, words)
        index = 0 if view.snap_follows_zoom else 1 + self._grids.index(view.snap_grid)
        self.snap.setCurrentIndex(index if view.is_snapping else self.snap.count() - 1)

    def _on_tempo(self, text: str) -> None:
        tempo = number_in(text) or 0.0
        if SLOWEST <= tempo <= FASTEST:
            frame = self._desk.transport.position
            self._desk.store.apply(
                lambda session: set_tempo_at(session, session.beat_of(frame), tempo), tr("Set tempo")
            )
        else:
            self._desk.say(
                tr("The tempo “{0}” is invalid. Enter {1:.0f} to {2:.0f} bpm.", text, SLOWEST, FASTEST)
            )

    def _on_metre(self, index: int) -> None:
        metre, frame = metre_of(self.metre.itemText(index)), self._desk.transport.position
        self._desk.store.apply(
            lambda session: led(set_metre_at(session, session.beat_of(frame), metre)), tr("Set metre")
        )

    def _on_snap(self, index: int) -> None:
        view = self._desk.view
        view.set_snapping(is_snapping=index < self.snap.count() - 1)
        if index == 0:
            view.set_snap(None)
        elif index < self.snap.count() - 1:
            view.set_snap(self._grids[index - 1])
