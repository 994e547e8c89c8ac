"""What earlier versions wrote, in the shape of today. Its values are checked afterwards, like all others."""

from typing import Any

from chronotome.session.edits.tracks import with_takes
from chronotome.session.model import Take, Track

TAKE = ("recording", "source_start", "source_end", "start", "beat")
"""What stood in a clip before it was a window on a take."""
MOVING = {"move_by": "by", "keeps": "keeps", "fill": "fill", "bears": "bears", "semitones": "semitones"}
"""What stood in a track before a take could be moved in a way of its own, and what it is called now."""


def track_of_today(track: object) -> object:
    """A track as it is written, whatever version wrote it."""
    if not isinstance(track, dict) or not isinstance(track.get("clips"), list):
        return track
    today = {name: value for name, value in track.items() if name not in MOVING}
    moved = {MOVING[name]: value for name, value in track.items() if name in MOVING}
    if moved and "moving" not in today:
        today["moving"] = moved
    return {**today, "clips": [_clip(each) for each in track["clips"]]}


def session_of_today(session: object) -> object:
    if not isinstance(session, dict) or not isinstance(session.get("tracks"), list):
        return session
    return {**session, "tracks": [track_of_today(each) for each in session["tracks"]]}


def _clip(clip: object) -> object:
    if not isinstance(clip, dict) or "take" in clip or "recording" not in clip:
        return clip
    take: dict[str, Any] = {name: clip[name] for name in TAKE if name in clip}
    if "markers" in clip:
        take["touches"] = clip["markers"]
    return {"id": clip.get("id"), "take": take}


def with_shared_takes(track: Track) -> Track:
    """Parts of one take have the very same one, as they had before they were written."""
    known: dict[Take, Take] = {}
    return with_takes(track, lambda take: known.setdefault(take, take))
