"""What is shown, what of it is chosen, and where one looks. Not part of the session, no undo."""

from enum import IntEnum

from PySide6.QtCore import QObject, Signal

from chronotome.bridge.store import Store
from chronotome.session.check import Kind
from chronotome.session.edits.clips import Place
from chronotome.session.edits.tightening import ALL, Scope, recipe_for
from chronotome.session.grid import Feel, Grid
from chronotome.session.groove import GrooveId
from chronotome.session.lines import GridRule, LineRules
from chronotome.session.model import Session, Take, Track
from chronotome.session.onsets import OnsetId
from chronotome.session.recipes import recipes_of, ruling_of
from chronotome.session.settings import TightenSettings
from chronotome.session.slices import Lengthen
from chronotome.ui.state.chosen import Chosen
from chronotome.ui.state.sight import Sight
from chronotome.ui.state.theme import DAY, Theme
from chronotome.words import tr

FINEST_PIXELS = 14
"""Lines of a grid that follows the zoom are never nearer than this."""


class Stage(IntEnum):
    MARK = 1
    FIT = 2
    TIGHTEN = 3
    REWORK = 4
    EXPORT = 5

    @property
    def words(self) -> str:
        return tr(self.name.capitalize())


class MarkSnap(IntEnum):
    """What a mark that is dragged or set by ear is pulled to."""

    ATTACK = 0
    CROSSING = 1
    NOTHING = 2


class RowsBy(IntEnum):
    """What the rows of a pattern are in the order of."""

    KEY = 0
    BAND = 1
    PITCH = 2

    @property
    def words(self) -> str:
        return tr(self.name.lower())


class For(IntEnum):
    """What the recipe in Tighten's tray is for."""

    TRACK = 0
    SPAN = 1
    CHOSEN = 2


class ViewState(QObject):
    """Shared by everything on screen."""

    stage_changed = Signal()
    theme_changed = Signal()
    snap_changed = Signal()
    left_window = Signal(object)
    """A hand that drags in a lane has left the window with what it drags."""
    hinted = Signal(str)
    """What the pointer can do where it is; empty: nothing."""
    declined_changed = Signal()
    """Somebody said no to something that was asked."""
    pointed_changed = Signal()
    """Another onset is under the pointer."""
    library_changed = Signal()
    """A groove was kept in the person's library, or is gone from it."""
    context_wanted = Signal(object, object)
    """What can be done at a place in a lane is asked for."""
    setting_wanted = Signal(object, str)
    """The control of a setting is asked for: its stage, and its action or its name."""
    evidence_changed = Signal()
    """Another lane lies under the wave of a stage that has several."""
    scope_changed = Signal()
    """The recipe in the tray is for something else."""
    groove_changed = Signal()
    """Another groove is in its lane, or another step of it is chosen."""
    kind_changed = Signal()
    """Places to check of another kind are gone through."""
    shape_changed = Signal()
    """Another value of hits or steps is in its lane."""
    rows_changed = Signal()
    """The rows of a pattern are in another order."""
    rhythm_changed = Signal()
    """Dragged hits are pulled to something else."""

    def __init__(self, store: Store) -> None:
        super().__init__(store)
        self._store = store
        self.chosen = Chosen(store)
        self.sight = Sight(store)
        self.chosen.focus_changed.connect(self._on_focus)
        self.stage = Stage.MARK
        self.theme: Theme = DAY
        self.pointed: OnsetId | None = None
        self.evidence: dict[Stage, str] = {}
        """The lane under the wave of stages that have several, where it is not their first."""
        self._recipe_for = For.TRACK
        self.check_kind: Kind | None = None
        """The kind of places to check that is gone through; None: all."""
        self.groove: GrooveId | None = None
        """The groove in the lane; None: what is played."""
        self.step: int | None = None
        """The chosen step of it."""
        self._span: tuple[float, float] | None = None
        self.holds_neighbours = False
        """A hit that is moved leaves those beside it where they are."""
        self.mark_snap = MarkSnap.ATTACK
        self.declined: set[str] = set()
        """What was asked and declined; not asked again while the window is open."""
        self.snap_grid = Grid(16)
        self.snap_follows_zoom = True
        self.is_snapping = True
        self.shape = "loudness"
        """The value of hits in the Shape lane, as `VALUES` names it."""
        self.step_shape = "loudness"
        """The value of steps in the lane under a pattern, as its columns are called."""
        self.rows_by = RowsBy.KEY
        self.lengthens = Lengthen.CUT
        """What becomes of a hit that is made longer by its edge."""
        self.rhythm: Place | None = None
        """A clip whose hits are what dragged hits are pulled to; None: the grid."""

    @property
    def session(self) -> Session:
        return self._store.session

    def _on_focus(self) -> None:
        """What was for a part of another track."""
        self._recipe_for, self._span, self.step = For.TRACK, None, None

    def show_stage(self, stage: Stage) -> None:
        if self.stage is not stage:
            self.stage = stage
            self.stage_changed.emit()

    def set_snap(self, grid: Grid | None) -> None:
        """A fixed grid, or None for one that follows the zoom."""
        self.snap_follows_zoom = grid is None
        if grid is not None:
            self.snap_grid = grid
        self.snap_changed.emit()

    def decline(self, about: str) -> None:
        self.declined.add(about)
        self.declined_changed.emit()

    def want_setting(self, stage: Stage, control: str) -> None:
        self.setting_wanted.emit(stage, control)

    def hint(self, sentence: str) -> None:
        self.hinted.emit(sentence)

    def point_at(self, onset: OnsetId | None) -> None:
        if self.pointed != onset:
            self.pointed = onset
            self.pointed_changed.emit()

    def set_mark_snap(self, snap: MarkSnap) -> None:
        self.mark_snap = snap
        self.snap_changed.emit()

    def set_snapping(self, *, is_snapping: bool) -> None:
        self.is_snapping = is_snapping
        self.snap_changed.emit()

    @property
    def grid(self) -> Grid:
        """The grid to draw and snap to."""
        if not self.snap_follows_zoom:
            return self.snap_grid
        session = self.session
        beat = session.beat_of(self.sight.viewport.frame_of(self.sight.viewport.width / 2))
        for division in (32, 16, 8):
            grid = Grid(division, Feel.STRAIGHT)
            seconds = grid.step * 60 / session.timebase.tempo_at(beat)
            if seconds * session.rate / self.sight.viewport.frames_per_pixel >= FINEST_PIXELS:
                return grid
        return Grid(4)

    @property
    def leading(self) -> tuple[Track, Take | None] | None:
        """The track and take whose recipe the focused track is tightened by: its own, or its guide's."""
        track, clip = self.chosen.focused, self.chosen.clip
        if track is None:
            return None
        if clip is None:
            return self.session.track(self.session.guide_of(track.id)), None
        return self.session.leading(track, clip.take)

    @property
    def recipe_for(self) -> For:
        """What the tray's recipe is for; the whole track where there are no hits or no span to be for."""
        if self._recipe_for is For.CHOSEN and not self.chosen.onsets:
            return For.TRACK
        return For.TRACK if self._recipe_for is For.SPAN and self.span is None else self._recipe_for

    @property
    def span(self) -> tuple[float, float] | None:
        """The beats that a recipe of its own is for: a chosen span, or the loop."""
        loop = self.session.loop
        return self._span or (None if loop is None else (loop.start, loop.end))

    @property
    def scope(self) -> Scope:
        """For the edits of Tighten."""
        match self.recipe_for:
            case For.SPAN:
                return Scope(span=self.span)
            case For.CHOSEN:
                return Scope(hits=self.chosen.onsets)
        return ALL

    def set_recipe_for(self, what: For, span: tuple[float, float] | None = None) -> None:
        if (what, span) != (self._recipe_for, self._span):
            self._recipe_for, self._span = what, span
            self.scope_changed.emit()

    def show_groove(self, groove: GrooveId | None, step: int | None = None) -> None:
        if (groove, step) != (self.groove, self.step):
            self.groove, self.step = groove, step
            self.groove_changed.emit()

    def show_kind(self, kind: Kind | None) -> None:
        if kind is not self.check_kind:
            self.check_kind = kind
            self.kind_changed.emit()

    def pull_to(self, rhythm: Place | None) -> None:
        """What hits are pulled to while they are dragged: hits of a clip, or the grid."""
        self.rhythm = rhythm
        self.rhythm_changed.emit()

    def show_shape(self, name: str) -> None:
        if self.shape != name:
            self.shape = name
            self.shape_changed.emit()

    def show_step_shape(self, name: str) -> None:
        if self.step_shape != name:
            self.step_shape = name
            self.shape_changed.emit()

    def order_rows(self, by: RowsBy) -> None:
        if self.rows_by is not by:
            self.rows_by = by
            self.rows_changed.emit()

    def show_evidence(self, stage: Stage, lane: str) -> None:
        """`lane` as `timeline.evidence` names it."""
        if self.evidence.get(stage) != lane:
            self.evidence[stage] = lane
            self.evidence_changed.emit()

    @property
    def recipe(self) -> TightenSettings:
        """What the tray shows: of the focused track, or of a part of it."""
        leading = self.leading
        return TightenSettings() if leading is None else recipe_for(*leading, self.scope)

    @property
    def rulings(self) -> LineRules:
        """Where the lines are to which the focused track is tightened, spans of their own included."""
        leading, session = self.leading, self.session
        if leading is None:
            return LineRules((GridRule(),))
        guide, take = leading
        if take is None:
            return LineRules((ruling_of(guide.tighten, session.grooves),))
        return recipes_of(session, guide, take).reach

    def set_theme(self, theme: Theme) -> None:
        if theme is not self.theme:
            self.theme = theme
            self.theme_changed.emit()
