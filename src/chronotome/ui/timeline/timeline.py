"""Overview, ruler, the focused track with its evidence, and the other tracks, on one time axis."""

from PySide6.QtGui import QPainter, QPaintEvent, QResizeEvent
from PySide6.QtWidgets import QPushButton, QVBoxLayout, QWidget

from chronotome.ui.commands.general import Commands
from chronotome.ui.state.theme import colour
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.timeline.accessible_lists import (
    ClipList,
    HitList,
    JoinList,
    OnsetList,
    StepList,
    TempoList,
)
from chronotome.ui.timeline.context_lane import ContextLane
from chronotome.ui.timeline.decision import DecisionBar
from chronotome.ui.timeline.evidence import ROWS, choices_of
from chronotome.ui.timeline.evidence_lane import EvidenceLane
from chronotome.ui.timeline.lane import HEADER, Lane
from chronotome.ui.timeline.lane_stack import LaneStack, OtherTracks
from chronotome.ui.timeline.overview_strip import OverviewStrip
from chronotome.ui.timeline.recipe_lane import RecipeLane
from chronotome.ui.timeline.ruler import Ruler
from chronotome.ui.timeline.section_lane import SectionLane
from chronotome.ui.timeline.spoken import Spoken
from chronotome.ui.timeline.tempo_lane import TempoLane
from chronotome.ui.timeline.wave_lane import WaveLane
from chronotome.words import tr


class Timeline(QWidget):
    """Everything between the rail and the tray."""

    is_alone = False
    """Whether the other tracks are left out."""

    comes_behind: QWidget | None = None
    """Where Tab comes from to the tracks."""

    def __init__(self, desk: UiContext, commands: Commands) -> None:
        super().__init__()
        self._desk = desk
        self.overview = OverviewStrip(desk)
        self.sections = SectionLane(desk, commands.sections, commands.song)
        self.ruler = Ruler(desk, commands.song)
        self.tempo = TempoLane(desk, commands.song)
        self.recipes = RecipeLane(desk, commands.tighten)
        self.decision = DecisionBar(desk)
        self.wave = WaveLane(desk, commands.marks, commands.hits, commands.slices)
        self.evidence: dict[str, Lane] = {row.name: row.make(desk, commands) for row in ROWS}
        """Lanes under the wave, by the names of their rows."""
        for row in ROWS:
            lane, choices = self.evidence[row.name], choices_of(row.stage)
            if isinstance(lane, EvidenceLane) and len(choices) > 1:
                lane.stage, lane.choices = row.stage, [(each.name, each.words) for each in choices]
        layout = QVBoxLayout(self)
        layout.setContentsMargins(0, 0, 0, 0)
        layout.setSpacing(0)
        for strip in (self.overview, self.sections, self.ruler, self.tempo, self.recipes, self.decision):
            layout.addWidget(strip)
        self.above, self.below = OtherTracks(desk, is_above=True), OtherTracks(desk, is_above=False)
        self.stack = LaneStack(
            (
                ("above", self.above, 0),
                ("wave", self.wave, 11),
                *((row.name, self.evidence[row.name], row.share) for row in ROWS),
                ("below", self.below, 0),
            )
        )
        layout.addWidget(self.stack, 1)
        self._last_position = 0.0
        self._speak(commands)
        self._listen()

    def _listen(self) -> None:
        desk, view = self._desk, self._desk.view
        desk.transport.moved.connect(self._follow)
        changes = (view.stage_changed, view.evidence_changed, view.chosen.changed, view.chosen.focus_changed)
        for signal in (*changes, desk.store.kept):
            signal.connect(self._on_stage)
        self._on_stage()
        view.chosen.focus_changed.connect(self._on_tracks)
        desk.store.watch(self, self._on_tracks, lambda s: s.tracks)

    def _speak(self, commands: Commands) -> None:
        """A list behind each lane, for screen readers."""
        desk, view = self._desk, self._desk.view
        hits = HitList(desk)
        self.spoken = [
            Spoken(self.wave, tr("Clips of the track"), ClipList(desk)),
            Spoken(self.evidence["drift"], tr("Hits and their drift"), hits),
            Spoken(self.evidence["strength"], tr("Onsets and their strength"), OnsetList(desk)),
            Spoken(self.evidence["pattern"], tr("Steps of the pattern"), StepList(desk, commands.patterns)),
            Spoken(self.tempo, tr("Tempo points of the song"), TempoList(desk)),
            Spoken(self.evidence["proof"], tr("Joins and their roughness"), JoinList(desk, commands.proof)),
        ]
        for each in self.spoken:
            each.follow(
                view.chosen.changed,
                view.chosen.focus_changed,
                desk.store.kept,
                desk.store.changed,
                desk.proving.proved,
            )

    @property
    def context_lanes(self) -> list[ContextLane]:
        """Those of all tracks but the focused one, from above to below."""
        return [*self.above.lanes, *self.below.lanes]

    def cancel_drag(self) -> bool:
        """Escape during a drag leaves no trace."""
        lanes = (
            self.wave,
            self.ruler,
            self.tempo,
            *self.evidence.values(),
            self.sections,
            self.recipes,
            *self.context_lanes,
        )
        return any(lane.cancel_drag() for lane in lanes)

    def _follow(self, frame: float) -> None:
        """Turn the page when the playhead leaves it; whoever scrolled away from it is left alone.

        Behind the end there is nothing to turn to: what sounded stays in sight.
        """
        view, last = self._desk.view, self._last_position
        self._last_position = frame
        viewport = view.sight.viewport
        is_there = frame < view.sight.extent
        if self._desk.transport.is_playing and is_there and viewport.start <= last < viewport.end:
            view.sight.turn_to(frame)

    def _on_stage(self) -> None:
        for row in ROWS:
            self.evidence[row.name].setVisible(row.is_seen(self._desk.view))
        self.stack.share_out()

    def stand_alone(self, *, is_alone: bool) -> None:
        """The lanes of the focused track without the others."""
        self.is_alone = is_alone
        self._on_tracks()

    def _on_tracks(self) -> None:
        """The focused track is tall in its place; those above it lie above, those below it below."""
        focused = self._desk.view.chosen.focused
        order = [track.id for track in self._desk.session.tracks]
        at = 0 if focused is None else order.index(focused.id)
        made = {lane.track_id: lane for lane in self.context_lanes}
        for others, tracks in ((self.above, order[:at]), (self.below, order[at + 1 :])):
            others.show_tracks(tracks, made)
            others.setVisible(bool(tracks) and not self.is_alone)
        for lane in made.values():  # of tracks that are gone, or tall now
            lane.hide()
            lane.deleteLater()
        self._put_in_order()
        if not self._desk.store.is_drafting:  # an edge that is dragged must not move away from the hand
            self.stack.share_out()

    def _put_in_order(self) -> None:
        """Tab goes through the tracks from above to below, behind what it comes from."""
        last = self.comes_behind
        above, below = ([lane.buttons for lane in each.lanes] for each in (self.above, self.below))
        bars = [*above, self.wave.buttons, *below]
        for widget in [button for bar in bars for button in bar.findChildren(QPushButton)]:
            if last is not None:
                QWidget.setTabOrder(last, widget)
            last = widget

    def begin_behind(self, widget: QWidget) -> None:
        self.comes_behind = widget
        self._put_in_order()

    def resizeEvent(self, event: QResizeEvent) -> None:
        """All lanes are as wide as this: it tells the viewport."""
        super().resizeEvent(event)
        view = self._desk.view
        view.sight.resize(self.width() - HEADER)

    def paintEvent(self, _event: QPaintEvent) -> None:
        painter = QPainter(self)
        painter.fillRect(self.rect(), colour(self._desk.view.theme.paper))
        painter.end()
