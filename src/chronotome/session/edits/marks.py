"""Edits of Mark: what counts, and onsets added, dropped, kept, moved, locked or slipped by hand."""

from collections.abc import Callable, Iterable

import numpy as np

from chronotome.dsp.bands import Instrument
from chronotome.session.anchors import anchors_of
from chronotome.session.counting import clock_of
from chronotome.session.edits.recordings import with_recording
from chronotome.session.edits.tightening import move_hit
from chronotome.session.grid import lines_each
from chronotome.session.limits import ContentHash
from chronotome.session.model import ClipId, Recording, Session, Take, TrackId, replace
from chronotome.session.onset_filter import OnsetFilter
from chronotome.session.onsets import OnsetDecision, OnsetId, Onsets
from chronotome.session.tighten import targets_of
from chronotome.units import BeatArray


def set_threshold(session: Session, content: ContentHash, threshold: float) -> Session:
    """Onsets weaker than this are left out of everything that follows."""
    threshold = round(max(0.0, min(100.0, threshold)), 1)

    def change(old: Recording) -> Recording:
        return old if old.threshold == threshold else replace(old, threshold=threshold)

    return with_recording(session, content, change)


def set_sift(session: Session, content: ContentHash, change: Callable[[OnsetFilter], OnsetFilter]) -> Session:
    """Change what else sifts the onsets: spacing, bands, the strongest of, near to lines."""

    def change_recording(old: Recording) -> Recording:
        sift = change(old.sift)
        return old if sift == old.sift else replace(old, sift=sift)

    return with_recording(session, content, change_recording)


def choose_material(session: Session, content: ContentHash, material: Instrument | None) -> Session:
    """Say what a recording is of, or leave it to what is heard; it is to be analysed again."""

    def change(old: Recording) -> Recording:
        return replace(
            old,
            material=material or old.material,
            is_material_chosen=material is not None,
            is_analysed=False,
        )

    return with_recording(session, content, change)


def add_onset(session: Session, content: ContentHash, frame: int) -> Session:
    """Mark a hit at a frame of the recording."""
    return add_onsets(session, content, [frame])


def add_onsets(session: Session, content: ContentHash, frames: Iterable[int]) -> Session:
    """Mark hits at frames of the recording."""
    recording = session.recording_with(content)
    inside = [frame for frame in frames if 0 <= frame < recording.frames]
    return _with_onsets(session, content, lambda onsets: onsets.with_rows(inside))


def drop_onset(session: Session, content: ContentHash, onset: OnsetId) -> Session:
    """Say that this is no hit, whatever its strength."""
    return drop_onsets(session, content, [onset])


def drop_onsets(session: Session, content: ContentHash, which: Iterable[OnsetId]) -> Session:
    """Say that these are no hits; those that were added by hand are gone, locked ones stay."""
    return _with_onsets(session, content, lambda onsets: onsets.standings_at(which, OnsetDecision.DROPPED))


def keep_onset(session: Session, content: ContentHash, onset: OnsetId) -> Session:
    """Say that this is a hit, whatever its strength."""
    return keep_onsets(session, content, [onset])


def keep_onsets(session: Session, content: ContentHash, which: Iterable[OnsetId]) -> Session:
    """Say that these are hits, whatever their strength."""
    return _with_onsets(session, content, lambda onsets: onsets.standings_at(which, OnsetDecision.KEPT))


def marks_as_found(session: Session, content: ContentHash) -> Session:
    """Forget what was said by hand about which onsets count."""
    return _with_onsets(session, content, lambda onsets: onsets.as_found())


def lock_onsets(
    session: Session, content: ContentHash, which: Iterable[OnsetId], *, is_locked: bool
) -> Session:
    """Hold onsets where they are, or free them."""
    return _with_onsets(session, content, lambda onsets: onsets.locked(which, is_locked=is_locked))


def move_onset(session: Session, content: ContentHash, onset: OnsetId, frame: int) -> Session:
    """Say that the hit starts at another frame; the sound stays, its target is worked out anew."""
    return _with_onsets(session, content, lambda onsets: onsets.moved(onset, frame))


def correct_onsets(
    session: Session, track: TrackId, clip: ClipId, which: Iterable[OnsetId], by: int
) -> Session:
    """Move marks by frames of the recording. The sound stays, of hits that were set by hand too."""
    old = session.track(track)
    take = old.clip(clip).take
    before = session.recording_of(take)
    moved = _with_onsets(session, take.recording, lambda onsets: onsets.shifted(which, by))
    if moved is session or not take.touches:
        return moved
    after = moved.recording_of(take)
    anchors = anchors_of(session, old, take)
    for touch in take.touches:
        place = before.onsets.place_of(touch.onset)
        at = after.onsets.place_of(touch.onset)
        if (
            touch.beat is None
            or place is None
            or at is None
            or before.onsets.frames[place] == after.onsets.frames[at]
        ):
            continue
        source = after.onsets.frames[at] * session.rate / before.rate
        landed = float(anchors.landed_at(np.array([source]))[0])
        moved = move_hit(moved, track, clip, touch.onset, session.beat_of(landed))
    return moved


def slip_onset(session: Session, track: TrackId, clip: ClipId, onset: OnsetId, frame: int) -> Session:
    """Slide the sound under a mark: another frame of the recording sounds where the mark is and stays."""
    old = session.track(track)
    take = old.clip(clip).take
    targets = targets_of(session, old, take)
    at = np.flatnonzero(targets.onsets == onset)
    if not len(at):
        return session
    beat = session.beat_of(float(targets.target[at[0]]))
    moved = move_onset(session, take.recording, onset, frame)
    return session if moved is session else move_hit(moved, track, clip, onset, beat)


def mark_grid(session: Session, take: Take, step: float) -> Session:
    """Marks on the lines instead of on attacks: one every `step` quarter notes, from each bar's start.

    Where `step` is 0, or longer than a bar, there is one a bar.
    """
    clock = clock_of(session, take)
    first, last = clock.beats_at(np.array([take.source_start, take.source_end])).tolist()
    return _marks_instead(session, take, lines_each(first, last, step, session.metre))


def mark_parts(session: Session, take: Take, parts: int) -> Session:
    """Marks at the starts of `parts` equal parts of the clip, instead of on attacks."""
    length = take.source_end - take.source_start
    frames = [take.source_start + round(part * length / parts) for part in range(parts)]
    return _instead(session, take, frames)


def _marks_instead(session: Session, take: Take, beats: BeatArray) -> Session:
    return _instead(session, take, clock_of(session, take).frames_at(beats).tolist())


def _instead(session: Session, take: Take, frames: Iterable[int]) -> Session:
    inside = [frame for frame in frames if take.source_start <= frame < take.source_end]

    def change(onsets: Onsets) -> Onsets:
        return onsets.standings_at(onsets.ids, OnsetDecision.DROPPED).with_rows(inside)

    return _with_onsets(session, take.recording, change)


def _with_onsets(session: Session, content: ContentHash, change: Callable[[Onsets], Onsets]) -> Session:
    def change_recording(old: Recording) -> Recording:
        onsets = change(old.onsets)
        return old if onsets is old.onsets else replace(old, onsets=onsets)

    return with_recording(session, content, change_recording)
