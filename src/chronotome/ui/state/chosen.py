"""What is chosen in the session that is open; tells when it is something else."""

from collections.abc import Iterable

from PySide6.QtCore import QObject, Signal

from chronotome.bridge.store import Store
from chronotome.session.edits.clips import Place, Range
from chronotome.session.model import Clip, Track, TrackId
from chronotome.session.onsets import OnsetId
from chronotome.session.patterns import StepId
from chronotome.session.slices import SliceId
from chronotome.ui.state.selection import Selection


class Chosen(QObject):
    """One `Selection`, read in the session as it is now: what is gone from it is not chosen."""

    changed = Signal()
    focus_changed = Signal()
    """Another track is in the tall lane."""

    def __init__(self, store: Store) -> None:
        super().__init__(store)
        self._store = store
        self.selection = Selection()

    def become(self, selection: Selection) -> None:
        before, self.selection = self.selection, selection
        if selection.track != before.track:
            self.focus_changed.emit()
        if selection != before:
            self.changed.emit()

    @property
    def focused(self) -> Track | None:
        """The track in the tall lane."""
        return self.selection.focused(self._store.session)

    @property
    def clip(self) -> Clip | None:
        """The clip of the focused track that is worked on: the last chosen, or its first."""
        return self.selection.clip(self._store.session)

    @property
    def place(self) -> Place | None:
        """The focused track and its clip that is worked on."""
        return self.selection.place(self._store.session)

    @property
    def clips(self) -> tuple[Place, ...]:
        return self.selection.clips_in(self._store.session)

    @property
    def range(self) -> Range | None:
        """The span of some tracks that is swept over."""
        return self.selection.span_in(self._store.session)

    @property
    def hits(self) -> tuple[SliceId, ...]:
        """Of the clip that is worked on."""
        return self.selection.hits_in(self._store.session)

    @property
    def steps(self) -> tuple[StepId, ...]:
        """Of the pattern that the clip plays that is worked on."""
        return self.selection.steps_in(self._store.session)

    @property
    def onsets(self) -> tuple[OnsetId, ...]:
        return self.selection.onsets

    @property
    def onset(self) -> OnsetId | None:
        """The chosen one that keys move on from."""
        return self.selection.onset

    @property
    def beat(self) -> float | None:
        """The chosen beat of the recording, in Fit."""
        return self.selection.beat

    @property
    def is_empty(self) -> bool:
        """Nothing could be let go of."""
        chosen = self.hits, self.steps, self.clips, self.range, self.onsets, self.onset, self.beat
        return not any(each not in {(), None} for each in chosen)

    def focus(self, track: TrackId) -> None:
        if self.focused is None or self.focused.id != track:
            self.become(self.selection.at_track(track))

    def focus_next(self, step: int) -> None:
        tracks = [track.id for track in self._store.session.tracks]
        if self.focused is not None and tracks:
            self.focus(tracks[(tracks.index(self.focused.id) + step) % len(tracks)])

    def choose_clips(self, clips: tuple[Place, ...]) -> None:
        """With those in a group with them. The track of the last comes into the tall lane."""
        self.become(self.selection.with_clips(self._store.session, clips))

    def choose_range(self, span: Range | None) -> None:
        """Instead of clips."""
        self.become(self.selection.with_span(span))

    def choose_hits(self, place: Place, hits: Iterable[SliceId | StepId]) -> None:
        """Hits of a clip that was taken apart, or steps of its pattern, instead of clips."""
        self.become(self.selection.with_parts(self._store.session, place, hits))

    def let_go_of_hits(self) -> bool:
        """Choose no hit and no step; False where none was chosen."""
        worked_on = self.selection.worked_on
        if worked_on is None or not (self.hits or self.steps):
            return False
        self.choose_hits(worked_on, ())
        return True

    def select(self, onset: OnsetId | None) -> None:
        self.pick(() if onset is None else (onset,), onset)

    def pick(self, onsets: tuple[OnsetId, ...], head: OnsetId | None) -> None:
        """Select several; `head` is the one that keys move on from."""
        self.become(self.selection.with_onsets(onsets, head))

    def choose_beat(self, beat: float | None) -> None:
        self.become(self.selection.with_beat(beat))
