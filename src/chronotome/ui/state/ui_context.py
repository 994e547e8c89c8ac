"""Everything long-lived that the widgets share, handed down as one value."""

from collections.abc import Callable
from dataclasses import dataclass
from operator import attrgetter

from chronotome.bridge.analyses import Analyses
from chronotome.bridge.bands import Bands
from chronotome.bridge.bouncing import Bouncing
from chronotome.bridge.document import OpenSession
from chronotome.bridge.fits import Fits
from chronotome.bridge.in_time import InTimeSwitch
from chronotome.bridge.keys import Keys
from chronotome.bridge.likenesses import Likenesses
from chronotome.bridge.playing_in import PlayingIn
from chronotome.bridge.proving import Proving
from chronotome.bridge.recordings import Recordings
from chronotome.bridge.rendering import Rendering
from chronotome.bridge.shelf import Shelf
from chronotome.bridge.store import Edit, Store
from chronotome.bridge.taking import Taking
from chronotome.bridge.tasks import Tasks
from chronotome.bridge.transport import Transport
from chronotome.session.check import Check, Checks
from chronotome.session.checks import checks_of
from chronotome.session.counting import counted_of
from chronotome.session.edits.slicing import make_whole
from chronotome.session.edits.tracks import with_track
from chronotome.session.groove import Groove
from chronotome.session.mark_checks import mark_checks_of
from chronotome.session.memo import by_identity
from chronotome.session.model import Clip, Session, Take, Track, TrackId, replace
from chronotome.session.patterns import Pattern
from chronotome.ui.state.asking import Asking
from chronotome.ui.state.media_keys import MediaKeys
from chronotome.ui.state.preferences import Preferences
from chronotome.ui.state.shown import Shown, shown_of
from chronotome.ui.state.view_state import Stage, ViewState
from chronotome.words import tr


@by_identity(4)
def _whole(session: Session, clip: Clip) -> Session:
    """With one clip as it was before it was taken apart; of one with a pattern, what its kit is cut of."""
    track = next(track for track, each in session.clips if each is clip)
    if clip.take.playing is None:
        return make_whole(session, (track.id, clip.id))
    recording = session.recording_with(clip.recording)
    whole = replace(clip, take=Take(recording.content, 0, recording.frames, clip.take.start), head=0, tail=0)
    clips = tuple(whole if each is clip else each for each in track.clips)
    return with_track(session, track.id, lambda old: replace(old, clips=clips))


@dataclass(frozen=True, eq=False)
class UiContext:
    store: Store
    view: ViewState
    transport: Transport
    document: OpenSession
    recordings: Recordings
    analyses: Analyses
    fits: Fits
    likenesses: Likenesses
    tasks: Tasks
    rendering: Rendering
    shelf: Shelf
    keys: Keys
    playing_in: PlayingIn
    taking: Taking
    bouncing: Bouncing
    proving: Proving
    preferences: Preferences
    in_time: InTimeSwitch
    media_keys: MediaKeys
    bands: Bands
    ask: Asking

    def say(self, sentence: str) -> None:
        """In the status line."""
        self.tasks.told.emit(sentence)

    def explain(self, about: str, sentence: str) -> bool:
        """Said once, when something is used for the first time; False where it was said before."""
        told = self.preferences.settings.told
        if about in told:
            return False
        self.preferences.keep(told=(*told, about))
        self.say(sentence)
        return True

    def refuses_pattern(self, *clips: Clip | None) -> bool:
        """Say so where a clip plays a pattern, for what can be done to recordings only."""
        plays = any(each is not None and each.take.playing is not None for each in clips)
        if plays:
            self.say(tr("This clip plays a pattern. Shape its steps, or the slices of its kit."))
        return plays

    @property
    def session(self) -> Session:
        return self.store.session

    @property
    def pattern(self) -> Pattern | None:
        """The one that the clip plays that is worked on."""
        clip = self.view.chosen.clip
        return None if clip is None else self.session.pattern_of(clip.take)

    @property
    def guiding(self) -> Shown | None:
        """The clip whose hits are moved: the one that is worked on, or its guide's at the same time."""
        session, track, clip = self.session, self.view.chosen.focused, self.view.chosen.clip
        if track is None or clip is None:
            return None
        guide, take = session.leading(track, clip.take)
        if guide is not track:
            clip = next((each for each in guide.clips if each.take is take), None)
        return shown_of(session, guide, self.transport.side, clip)

    def leading_edit(self, change: Callable[[Session, TrackId, Take | None], Session]) -> Edit:
        """A change of the track and take whose recipe is in the tray, as they are when it is made."""
        guiding, track = self.guiding, self.view.chosen.focused

        def edit(session: Session) -> Session:
            if guiding is not None:
                known = {clip.id: clip.take for clip in session.track(guiding.track.id).clips}
                return change(session, guiding.track.id, known.get(guiding.clip.id))
            return session if track is None else change(session, session.guide_of(track.id), None)

        return edit

    def checks(self, track: Track, take: Take | None) -> Checks:
        """Places to check; while a hand moves anything, those from before it: other tracks are asked."""
        kept = self.store.history.session
        old = next((each for each in kept.tracks if each.id == track.id), None)
        if not self.store.is_drafting or old is None:
            return checks_of(self.session, track, take, self.rendering.rough)
        clip = next((each.id for each in track.clips if each.take is take), None)
        takes = (each.take for each in old.clips if each.id == clip)
        return checks_of(kept, old, next(takes, old.first_take), self.rendering.rough)

    def mark_checks(self, track: Track, take: Take | None) -> list[Check]:
        """Onsets to check: where the analysis is not sure, and what Tighten found of them."""
        found = list(mark_checks_of(self.session, track, take))
        known = {check.onset for check in found}
        checks = self.checks(track, take)
        found += [check for check in map(checks.__getitem__, checks.of_marks) if check.onset not in known]
        return sorted(found, key=attrgetter("played"))

    @property
    def groove(self) -> Groove | None:
        """The groove in the lane: the one that was looked at last, or what the tray's recipe plays."""
        shown = None if self.view.groove is None else self.session.groove(self.view.groove)
        return shown or self.session.groove(self.view.recipe.groove)

    @property
    def placed(self) -> Session:
        """The session as lanes show it: in Mark what was taken apart is whole, marks are the recording's."""
        placed, place = self.store.placed, self.view.chosen.place
        if self.view.stage is not Stage.MARK or place is None:
            return placed
        clip = next((clip for track, clip in placed.clips if (track.id, clip.id) == place), None)
        is_whole = clip is None or (clip.take.slices is None and clip.take.playing is None)
        return placed if clip is None or is_whole else _whole(placed, clip)

    @property
    def shown(self) -> Shown | None:
        """The focused track's clip as it is shown; the places in it rest while its onsets are sifted."""
        track, store = self.view.chosen.focused, self.store
        if track is None:
            return None
        placed = self.placed
        if store.placed is store.session:
            place = self.view.chosen.place
            clip = None if place is None else placed.track(place[0]).clip(place[1])
            return shown_of(placed, placed.track(track.id), self.transport.side, clip)
        before = placed.track(track.id)
        clip = self.view.chosen.clip
        same = (each for each in before.clips if clip is not None and each.id == clip.id)
        shown = shown_of(placed, before, self.transport.side, next(same, None))
        if shown is None:
            return None
        counts = counted_of(store.session, shown.take)
        return shown.with_counts(store.session.recording_of(shown.clip), counts)
