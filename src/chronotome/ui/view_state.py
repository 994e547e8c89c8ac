"""What is looked at: viewport, focus, selection, stage. Not part of the session, no undo."""

from collections.abc import Iterable
from enum import IntEnum

from PySide6.QtCore import QObject, QTimer, Signal

from chronotome.bridge.store import Store
from chronotome.session.anchors import extent_of
from chronotome.session.check import Kind
from chronotome.session.edits.clips import Place, Range, in_groups
from chronotome.session.edits.tightening import ALL, Scope, recipe_for
from chronotome.session.grid import Feel, Grid
from chronotome.session.groove import GrooveId
from chronotome.session.lines import GridRule, LineRules
from chronotome.session.model import Clip, Session, Take, Track, TrackId
from chronotome.session.onsets import OnsetId
from chronotome.session.patterns import StepId
from chronotome.session.recipes import recipes_of, ruling_of
from chronotome.session.settings import TightenSettings
from chronotome.session.slices import Lengthen, SliceId
from chronotome.ui.theme import DAY, Theme
from chronotome.ui.timeline.viewport import Viewport
from chronotome.words import tr

RESTING_MILLISECONDS = 60
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


class LaneKind(IntEnum):
    """What the lane under the wave shows in Tighten."""

    DRIFT = 0
    GROOVE = 1
    MATCH = 2

    @property
    def words(self) -> str:
        return tr(self.name.capitalize())


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

    viewport_changed = Signal()
    focus_changed = Signal()
    selection_changed = Signal()
    stage_changed = Signal()
    theme_changed = Signal()
    snap_changed = Signal()
    rested = Signal()
    """Scrolling and zooming have paused."""
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
    """Another lane lies under the wave in Tighten, or the recipe in the tray is for something else."""

    def __init__(self, store: Store) -> None:
        super().__init__(store)
        self._store = store
        self.viewport = Viewport()
        self._resting = QTimer(self)
        self._resting.setSingleShot(True)
        self._resting.setInterval(RESTING_MILLISECONDS)
        self._resting.timeout.connect(self.rested)
        self.is_whole = True
        """Nobody has looked closer since all of it was shown."""
        store.changed.connect(self._on_session)
        self.stage = Stage.MARK
        self.theme: Theme = DAY
        self.selected: OnsetId | None = None
        self.picked: tuple[OnsetId, ...] = ()
        self.pointed: OnsetId | None = None
        self.beat: float | None = None
        """The chosen beat of the recording, in Fit."""
        self.evidence = LaneKind.DRIFT
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
        self._focus: TrackId | None = None
        self._clips: tuple[Place, ...] = ()
        self.shape = "loudness"
        """The value of hits in the Shape lane, as `VALUES` names it."""
        self.step_shape = "loudness"
        """The value of steps in the lane under a pattern, as its columns are called."""
        self.rows_by = RowsBy.KEY
        self.lengthens = Lengthen.CUT
        """What becomes of a hit that is made longer by its edge."""
        self.rhythm: Place | None = None
        """A clip whose hits are what dragged hits are pulled to; None: the grid."""
        self._hits: tuple[SliceId, ...] = ()
        self._hits_of: Place | None = None
        self._range: Range | None = None

    @property
    def session(self) -> Session:
        return self._store.session

    @property
    def focused(self) -> Track | None:
        """The track in the tall lane."""
        tracks = self.session.tracks
        return next((track for track in tracks if track.id == self._focus), tracks[0] if tracks else None)

    def focus(self, track: TrackId) -> None:
        if self.focused is None or self.focused.id != track:
            self._focus = track
            self._recipe_for, self._span, self.step = For.TRACK, None, None
            self.selected, self.picked, self.beat = None, (), None
            self.focus_changed.emit()
            self.selection_changed.emit()

    @property
    def clips(self) -> tuple[Place, ...]:
        """The chosen clips that are there, the last chosen one last."""
        known = {(track.id, clip.id) for track, clip in self.session.clips} if self._clips else set()
        return tuple(place for place in self._clips if place in known)

    @property
    def range(self) -> Range | None:
        """The span of some tracks that is swept over; of tracks that are still there."""
        known = {track.id for track in self.session.tracks} if self._range is not None else set()
        return None if self._range is None or not known.issuperset(self._range.tracks) else self._range

    def choose_range(self, span: Range | None) -> None:
        """Instead of clips."""
        if span != self._range:
            self._clips, self._hits, self._range = (), (), span
            self.selected, self.picked, self.beat = None, (), None
            self.selection_changed.emit()

    def choose_clips(self, clips: tuple[Place, ...]) -> None:
        """With those in a group with them. The track of the last comes into the tall lane."""
        clips = in_groups(self.session, clips)
        if clips:
            self.focus(clips[-1][0])
            self._hits_of = None
        if clips != self._clips or self._range is not None or self._hits:
            self._clips, self._hits, self._range = clips, (), None
            self.selected, self.picked, self.beat = None, (), None
            self.selection_changed.emit()

    @property
    def place(self) -> Place | None:
        """The focused track and its clip that is worked on."""
        track, clip = self.focused, self.clip
        return None if track is None or clip is None else (track.id, clip.id)

    @property
    def hits(self) -> tuple[SliceId, ...]:
        """The chosen hits of the clip that is worked on, those that are there; the last chosen one last."""
        clip = self.clip if self._hits and self.place == self._hits_of else None
        known = set() if clip is None or clip.take.slices is None else set(clip.take.slices.ids)
        return tuple(each for each in self._hits if each in known)

    @property
    def steps(self) -> tuple[StepId, ...]:
        """The chosen steps of the pattern that the clip plays that is worked on, the last chosen one last."""
        clip = self.clip if self._hits and self.place == self._hits_of else None
        pattern = None if clip is None else self.session.pattern_of(clip.take)
        known = set() if pattern is None else set(pattern.ids)
        return tuple(each for each in self._hits if each in known)

    def choose_hits(self, place: Place, hits: Iterable[SliceId]) -> None:
        """Hits of a clip that was taken apart, or steps of its pattern, instead of clips.

        Its track comes into the tall lane.
        """
        hits = tuple(dict.fromkeys(hits))
        self.focus(place[0])
        if (place, hits) != (self._hits_of, self._hits) or self._clips or self._range is not None:
            self._hits_of, self._hits, self._clips, self._range = place, hits, (), None
            self.selected, self.picked, self.beat = None, (), None
            self.selection_changed.emit()

    def let_go_of_hits(self) -> bool:
        """Choose no hit and no step; False where none was chosen."""
        if self._hits_of is None or not (self.hits or self.steps):
            return False
        self.choose_hits(self._hits_of, ())
        return True

    @property
    def clip(self) -> Clip | None:
        """The clip of the focused track that is worked on: the last chosen, or its first."""
        track = self.focused
        if track is None:
            return None
        chosen = [clip for each, clip in self.clips if each == track.id]
        if not chosen and self._hits_of is not None and self._hits_of[0] == track.id:
            chosen = [clip.id for clip in track.clips if clip.id == self._hits_of[1]]
        return track.clip(chosen[-1]) if chosen else next(iter(track.clips), None)

    def focus_next(self, step: int) -> None:
        tracks = [track.id for track in self.session.tracks]
        if self.focused is not None and tracks:
            self.focus(tracks[(tracks.index(self.focused.id) + step) % len(tracks)])

    def select(self, onset: OnsetId | None) -> None:
        self.pick(() if onset is None else (onset,), onset)

    def pick(self, onsets: tuple[OnsetId, ...], head: OnsetId | None) -> None:
        """Select several; `head` is the one that keys move on from."""
        if (self.selected, self.picked) != (head, onsets):
            self.selected, self.picked = head, onsets
            self.selection_changed.emit()

    def choose_beat(self, beat: float | None) -> None:
        if self.beat != beat:
            self.beat = beat
            self.selection_changed.emit()

    def show_stage(self, stage: Stage) -> None:
        if self.stage is not stage:
            self.stage = stage
            self.stage_changed.emit()

    def show(self, viewport: Viewport) -> None:
        """Another part of it, as somebody wants it."""
        self.is_whole = False
        self._become(viewport)

    def _become(self, viewport: Viewport) -> None:
        if viewport != self.viewport:
            self.viewport = viewport
            self._resting.start()
            self.viewport_changed.emit()

    @property
    def is_moving(self) -> bool:
        """It was scrolled or zoomed just now: lanes beside the tall one may be coarse until it rests."""
        return self._resting.isActive()

    def resize(self, width: int) -> None:
        """As wide as the lanes are; what shows all of it goes on doing so."""
        if self.is_whole:
            self._become(self.viewport.resized(width).fitted(0, self.extent))
        else:
            self._become(self.viewport.resized(width))

    def turn_to(self, frame: float) -> None:
        """Turn the page, so that a playhead stays in sight; nobody looked closer by that."""
        self._become(self.viewport.following(frame))

    def zoom(self, factor: float, x: float | None = None) -> None:
        """Zoom about a pixel, the middle where none is given."""
        at = self.viewport.width / 2 if x is None else x
        self.show(self.viewport.zoomed(factor, at, self.extent))

    def scroll(self, pixels: float) -> None:
        self.show(self.viewport.scrolled(pixels, self.extent))

    @property
    def extent(self) -> int:
        """Frames of all of it, as played or as it sounds."""
        return max(1, extent_of(self.session))

    def fit(self) -> None:
        """All of it, until somebody looks closer."""
        self.is_whole = True
        self._become(self.viewport.fitted(0, self.extent))

    def _on_session(self, before: Session, after: Session) -> None:
        """What showed all of it shows all of it, however long it has become."""
        if before.rate != after.rate:
            self._become(self.viewport.at_rate(after.rate / before.rate))
        if self.is_whole and not self._store.is_drafting:
            self._become(self.viewport.fitted(0, self.extent))

    def center_on(self, frame: float) -> None:
        """Bring a frame into the middle unless it is well in sight."""
        viewport = self.viewport
        x = viewport.x_of(frame)
        if not 0.1 * viewport.width < x < 0.9 * viewport.width:
            self.scroll(x - viewport.width / 2)

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
        beat = session.beat_of(self.viewport.frame_of(self.viewport.width / 2))
        for division in (32, 16, 8):
            grid = Grid(division, Feel.STRAIGHT)
            seconds = grid.step * 60 / session.timebase.tempo_at(beat)
            if seconds * session.rate / self.viewport.frames_per_pixel >= FINEST_PIXELS:
                return grid
        return Grid(4)

    @property
    def leading(self) -> tuple[Track, Take | None] | None:
        """The track and take whose recipe the focused track is tightened by: its own, or its guide's."""
        track, clip = self.focused, self.clip
        if track is None:
            return None
        if clip is None:
            return self.session.track(self.session.guide_of(track.id)), None
        return self.session.leading(track, clip.take)

    @property
    def recipe_for(self) -> For:
        """What the tray's recipe is for; the whole track where there are no hits or no span to be for."""
        if self._recipe_for is For.CHOSEN and not self.picked:
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
                return Scope(hits=self.picked)
        return ALL

    def set_recipe_for(self, what: For, span: tuple[float, float] | None = None) -> None:
        if (what, span) != (self._recipe_for, self._span):
            self._recipe_for, self._span = what, span
            self.evidence_changed.emit()

    def show_groove(self, groove: GrooveId | None, step: int | None = None) -> None:
        if (groove, step) != (self.groove, self.step):
            self.groove, self.step = groove, step
            self.evidence_changed.emit()

    def show_kind(self, kind: Kind | None) -> None:
        if kind is not self.check_kind:
            self.check_kind = kind
            self.evidence_changed.emit()

    def pull_to(self, rhythm: Place | None) -> None:
        """What hits are pulled to while they are dragged: hits of a clip, or the grid."""
        self.rhythm = rhythm
        self.selection_changed.emit()

    def show_shape(self, name: str) -> None:
        if self.shape != name:
            self.shape = name
            self.evidence_changed.emit()

    def show_step_shape(self, name: str) -> None:
        if self.step_shape != name:
            self.step_shape = name
            self.evidence_changed.emit()

    def order_rows(self, by: RowsBy) -> None:
        if self.rows_by is not by:
            self.rows_by = by
            self.evidence_changed.emit()

    def show_evidence(self, evidence: LaneKind) -> None:
        if self.evidence is not evidence:
            self.evidence = evidence
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
