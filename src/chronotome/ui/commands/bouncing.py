"""What keys and menus do about bounces: clips, a range, a track as a recording of what is heard of them."""

from chronotome.session.edits.bounce import bring_back, kept_of
from chronotome.session.edits.clips import Place, cut_out
from chronotome.session.model import Session
from chronotome.ui.commands.clips import ClipCommands
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr


class BounceCommands:
    """One method for each thing that can be done."""

    def __init__(self, desk: UiContext, clips: ClipCommands) -> None:
        self._desk, self._clips = desk, clips
        desk.bouncing.brought.connect(self._on_brought)

    def _on_brought(self, track: int) -> None:
        self._desk.view.chosen.focus(track)

    @property
    def _chosen(self) -> tuple[Place, ...]:
        """The chosen clips, or the one that is worked on."""
        place = self._desk.view.chosen.place
        return self._clips.chosen or (() if place is None else (place,))

    def beside(self) -> None:
        """The chosen clips, or what sounds in the range, as a recording on a track of its own."""
        session, places = self._desk.session, self._chosen
        span = self._desk.view.chosen.range
        if span is not None:
            session, places = cut_out(session, span)
        self._bounce(session, places, in_place=False)

    def in_place(self) -> None:
        """The same in the place of the clips, which are kept on a muted track."""
        span = self._desk.view.chosen.range
        if span is not None:
            places = cut_out(self._desk.session, span)[1]
            self._desk.store.apply(lambda session: cut_out(session, span)[0], tr("Split at range ends"))
        else:
            places = self._chosen
        if len({track for track, _ in places}) > 1:
            self._desk.say(tr("Only one track can be bounced in place. Use Bounce to new track."))
            return
        if places and self._desk.session.group_of(places[0][0]) is not None:
            self._desk.say(tr("Other tracks follow its hits. Unlock it, or use Bounce to new track."))
            return
        if places and self._desk.session.track(places[0][0]).spans:
            self._desk.say(tr("Spans would tighten the audio twice. Use Bounce to new track."))
            return
        self._bounce(self._desk.session, places, in_place=True)

    def track(self) -> None:
        """All clips of the track."""
        track = self._desk.view.chosen.focused
        places = () if track is None else tuple((track.id, clip.id) for clip in track.clips)
        self._bounce(self._desk.session, places, in_place=False)

    def _bounce(self, session: Session, places: tuple[Place, ...], *, in_place: bool) -> None:
        if not places:
            self._desk.say(tr("Nothing to bounce. Select clips, or drag over the waves in Rework."))
            return
        lost = {session.track(track).clip(clip).recording for track, clip in places} & set(
            self._desk.recordings.lost
        )
        if lost:
            self._desk.say(
                tr("{0} are missing, so there is nothing to bounce", counted(len(lost), "recording"))
            )
            return
        name = session.track(places[0][0]).name
        self._desk.bouncing.bounce(session, places, tr("{0} bounced", name), in_place=in_place)

    def bring_back(self) -> None:
        """What the clip was bounced of, in its place again."""
        place = self._desk.view.chosen.place
        if place is None or kept_of(self._desk.session, place) is None:
            self._desk.say(tr("Nothing to restore: the clip was not bounced in place."))
            return
        self._desk.store.apply(lambda session: bring_back(session, place), tr("Restore bounced clips"))
