"""A session without its sound: what a template keeps; and a session without what nothing plays."""

from chronotome.session.limits import ContentHash
from chronotome.session.model import Session, replace


def as_template(session: Session) -> Session:
    """Tempo, metre, grooves, sections and tracks with their recipes and levels; no recordings, no clips."""
    tracks = tuple(
        replace(track, clips=(), layer=None, is_solo=False, tighten=replace(track.tighten, match=None))
        for track in session.tracks
    )
    return replace(
        session, recordings=(), tracks=tracks, kits=(), patterns=(), lead=None, loop=None, is_looping=False
    )


def heard_contents(session: Session) -> set[ContentHash]:
    """Recordings that a clip plays or a kit is cut of."""
    played = {clip.recording for _, clip in session.clips}
    return played | {each.recording for kit in session.kits for each in kit.slices}


def without_unheard(session: Session) -> Session:
    """Without recordings that no clip plays and no kit is cut of."""
    heard = heard_contents(session)
    kept = tuple(each for each in session.recordings if each.content in heard)
    return session if len(kept) == len(session.recordings) else replace(session, recordings=kept)
