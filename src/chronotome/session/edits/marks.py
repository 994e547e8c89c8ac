"""Edits of Mark: the threshold, and onsets added, dropped, kept or moved by hand."""

from collections.abc import Callable

from chronotome.session.edits.recordings import with_recording
from chronotome.session.model import ContentHash, Recording, Session, replace
from chronotome.session.onsets import OnsetId, Onsets, Standing


def set_threshold(session: Session, content: ContentHash, threshold: float) -> Session:
    """Onsets weaker than this are left out of everything that follows."""
    threshold = round(max(0.0, min(100.0, threshold)), 1)

    def change(old: Recording) -> Recording:
        return old if old.threshold == threshold else replace(old, threshold=threshold)

    return with_recording(session, content, change)


def add_onset(session: Session, content: ContentHash, frame: int) -> Session:
    """Mark a hit at a frame of the recording."""
    return _with_onsets(session, content, lambda onsets: onsets.added(frame))


def drop_onset(session: Session, content: ContentHash, onset: OnsetId) -> Session:
    """Say that this is no hit, whatever its strength."""
    return _with_onsets(session, content, lambda onsets: onsets.standing(onset, Standing.DROPPED))


def keep_onset(session: Session, content: ContentHash, onset: OnsetId) -> Session:
    """Say that this is a hit, whatever its strength."""
    return _with_onsets(session, content, lambda onsets: onsets.standing(onset, Standing.KEPT))


def move_onset(session: Session, content: ContentHash, onset: OnsetId, frame: int) -> Session:
    """Say that the hit starts at another frame."""
    return _with_onsets(session, content, lambda onsets: onsets.moved(onset, frame))


def _with_onsets(session: Session, content: ContentHash, change: Callable[[Onsets], Onsets]) -> Session:
    def change_recording(old: Recording) -> Recording:
        onsets = change(old.onsets)
        return old if onsets is old.onsets else replace(old, onsets=onsets)

    return with_recording(session, content, change_recording)
