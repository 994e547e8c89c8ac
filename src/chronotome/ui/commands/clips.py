"""What keys and menus do to clips."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace
from pathlib import Path

import numpy as np

from chronotome.bridge.store import Edit
from chronotome.session.anchors import window_of
from chronotome.session.edits.clips import (
    MOST_TIMES,
    Place,
    copy,
    cut_out,
    delete,
    group,
    join,
    meets,
    move,
    of_elsewhere,
    paste,
    repeat,
    repeat_range,
    reverse,
    set_clip,
    split,
    ungroup,
)
from chronotome.session.edits.hits import clip_at
from chronotome.session.edits.recordings import bring_recording
from chronotome.session.grid import nearest_lines
from chronotome.session.limits import LONGEST_NAME
from chronotome.session.model import Clip, Recording, Session, Track, TrackId
from chronotome.ui.state.figures import counted
from chronotome.ui.state.shown import period_of, shown_of
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr


@dataclass(frozen=True, eq=False)
class ClipboardClip:
    """A clip that was cut or copied, and what another session needs to play it."""

    track: TrackId
    clip: Clip
    seconds: float
    """From the first of those that were kept with it."""
    recording: Recording
    file: Path | None


class ClipCommands:
    """One method for each thing that can be done to the chosen clips."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk
        self._kept: tuple[ClipboardClip, ...] = ()

    @property
    def chosen(self) -> tuple[Place, ...]:
        """The chosen clips; else the one of the focused track that is at the playhead."""
        view = self._desk.view
        if view.chosen.clips or view.chosen.focused is None:
            return view.chosen.clips
        here = self._under_playhead(view.chosen.focused)
        return () if here is None else ((view.chosen.focused.id, here.id),)

    def _under_playhead(self, track: Track) -> Clip | None:
        position, session = self._desk.transport.position, self._desk.session
        for clip in track.clips:
            window = window_of(session, track, clip)
            if window.start <= position < window.end:
                return clip
        return None

    def _edit_chosen(self, do: str, label: str, edit: Callable[[Session, Sequence[Place]], Session]) -> None:
        """An edit of the chosen clips, or of what sounds in the range that was swept, cut at its ends."""
        span = self._desk.view.chosen.range
        if span is not None:
            self._desk.store.apply(lambda session: edit(*cut_out(session, span)), label)
            return
        places = self._with_chosen(do)
        if places:
            self._desk.store.apply(lambda session: edit(session, places), label)

    def _do(self, edit: Edit, label: str) -> None:
        """Apply; what was made by it is chosen."""
        desk = self._desk
        before = {clip.id for _, clip in desk.session.clips}
        desk.store.apply(edit, label)
        new = tuple((track.id, clip.id) for track, clip in desk.session.clips if clip.id not in before)
        if new:
            desk.view.chosen.choose_clips(new)

    def _with_chosen(self, do: str) -> tuple[Place, ...]:
        places = self.chosen
        if not places:
            self._desk.say(tr("Select a clip to {0}: click its name in Rework", do))
        return places

    def split_here(self) -> None:
        """Cut at the playhead, or at both ends of the range that was swept."""
        span = self._desk.view.chosen.range
        if span is not None:
            self._desk.store.apply(lambda session: cut_out(session, span)[0], tr("Split at range ends"))
            return
        track, position = self._desk.view.chosen.focused, round(self._desk.transport.position)
        if track is not None:
            self._split(track, [position], tr("Split at playhead"))

    def split_at_hits(self) -> None:
        shown = self._desk.shown
        if shown is not None:
            frames = shown.heard_of_played(shown.targets.played).round().astype(int).tolist()
            self._split(shown.track, frames, tr("Split clip at hits"))

    def split_at_bars(self) -> None:
        track, session = self._desk.view.chosen.focused, self._desk.session
        if track is None:
            return
        last = session.beat_of(self._desk.view.sight.extent)
        lines = session.metre.bar_lines(0.0, last)
        frames = session.timebase.frames_at(lines).round().astype(int).tolist()
        self._split(track, frames, tr("Split clip at bars"))

    def _split(self, track: Track, frames: Sequence[int], label: str) -> None:
        before = len(track.clips)
        self._desk.store.apply(lambda session: split(session, track.id, frames), label)
        now = len(self._desk.session.track(track.id).clips)
        self._desk.say(
            tr("{0} has {1}", track.name, counted(now, "clip"))
            if now > before
            else tr("No hits or bars here to split at")
        )

    def join(self) -> None:
        """Make one of the chosen neighbours, or of all parts of the focused track."""
        track = self._desk.view.chosen.focused
        if track is None:
            return
        chosen = [clip for each, clip in self._desk.view.chosen.clips if each == track.id]
        clips = chosen if len(chosen) > 1 else [clip.id for clip in track.clips]
        if not any(meets(*pair) for pair in zip(track.clips, track.clips[1:], strict=False)):
            self._desk.say(tr("Only adjacent clips from the same recording can be joined"))
            return
        self._desk.store.apply(lambda session: join(session, track.id, clips), tr("Join"))

    def duplicate(self) -> None:
        """Lay the chosen clips once more, right after themselves; a range in the place of what is there."""
        span = self._desk.view.chosen.range
        if span is not None:
            length = span.end - span.start
            self._desk.store.apply(lambda session: repeat_range(session, span), tr("Duplicate range"))
            self._desk.view.chosen.choose_range(span._replace(start=span.end, end=span.end + length))
            return
        places = self._with_chosen("duplicate")
        if places:
            by = self._length(places)
            self._do(lambda session: copy(session, places, by), tr("Duplicate clip"))

    def _length(self, places: Sequence[Place]) -> int:
        """Frames after which the chosen clips come again."""
        session, side = self._desk.session, self._desk.transport.side
        tracks = [(session.track(track), clip) for track, clip in places]
        if len(tracks) == 1:
            ((track, clip),) = tracks
            shown = shown_of(session, track, side, track.clip(clip))
            return 0 if shown is None else period_of(session, shown)
        windows = [window_of(session, track, track.clip(clip)) for track, clip in tracks]
        return max(window.end for window in windows) - min(window.start for window in windows)

    def ask_repeats(self) -> None:
        places = self._with_chosen("repeat")
        if len(places) != 1:
            return
        times = self._desk.ask.whole(tr("Repeat clip"), tr("Number of repeats:"), 3, 1, MOST_TIMES)
        if times is not None:
            every = self._length(places)
            self._do(lambda session: repeat(session, *places[0], times, every), tr("Repeat clip"))

    def delete(self, *, is_closed: bool = False) -> None:
        label = tr("Delete clip and close gap") if is_closed else tr("Delete clip")
        self._edit_chosen(
            "delete", label, lambda session, places: delete(session, places, is_closed=is_closed)
        )

    def keep(self, *, is_cut: bool = False) -> None:
        """Remember the chosen clips for pasting."""
        span = self._desk.view.chosen.range
        if span is not None:
            session, places = cut_out(self._desk.session, span)
        else:
            session, places = self._desk.session, self._with_chosen("cut" if is_cut else "copy")
        if not places:
            return
        clips = [(session.track(track), session.track(track).clip(clip)) for track, clip in places]
        starts = [window_of(session, track, clip).start for track, clip in clips]
        places_of_files = self._desk.recordings.places
        self._kept = tuple(
            ClipboardClip(
                track.id,
                clip,
                (start - min(starts)) / session.rate,
                session.recording_of(clip),
                places_of_files.get(clip.recording),
            )
            for (track, clip), start in zip(clips, starts, strict=True)
        )
        if is_cut:
            self._edit_chosen("cut", tr("Cut clip"), delete)
        self._desk.say(tr("{0} copied. Press Ctrl+V to paste at the playhead.", counted(len(places), "clip")))

    def paste(self) -> None:
        """Lay what was cut or copied at the playhead: one clip on the focused track, several on their own.

        In another session than they come from, their recordings come with them; several that were on as many
        tracks there lie on the focused one.
        """
        desk, track = self._desk, self._desk.view.chosen.focused
        here = round(desk.transport.position)
        known = {recording.content for recording in desk.session.recordings}
        kept = tuple(each for each in self._kept if each.clip.recording in known or each.file is not None)
        if not kept or track is None:
            words = tr("an empty track") if kept else tr("Clipboard is empty. Copy clips with Ctrl+C.")
            desk.say(tr("Paste needs {0}. Add one with Ctrl+Shift+N.", words) if kept else words)
            return
        tracks, own = {each.id for each in desk.session.tracks}, track.id
        kept = tuple(replace(each, recording=desk.recordings.renamed(each.recording)) for each in kept)
        is_from_here = all(each.clip.recording in known and each.track in tracks for each in kept)

        def edit(session: Session) -> Session:
            for each in kept:
                to = each.track if len(kept) > 1 and is_from_here else own
                session = bring_recording(session, each.recording)
                clip = each.clip if each.clip.recording in known else of_elsewhere(each.clip)
                session = paste(session, to, clip, here + round(each.seconds * session.rate))
            return session

        self._do(edit, tr("Paste clip"))
        for each in kept:
            if each.clip.recording not in known and each.file is not None:
                desk.recordings.bring(each.clip.recording, each.file)
                known.add(each.clip.recording)

    def reverse(self) -> None:
        session = self._desk.session
        places = self._desk.view.chosen.clips
        chosen = [clip_at(session, each) for each in places] if places else [self._desk.view.chosen.clip]
        if self._desk.view.chosen.range is not None or not self._desk.refuses_pattern(*chosen):
            self._edit_chosen("reverse", tr("Reverse clip"), reverse)

    def group(self) -> None:
        places = self._desk.view.chosen.clips
        if len(places) < 2:
            self._desk.say(tr("To group clips, select two or more: Shift+click adds one"))
            return
        self._desk.store.apply(lambda session: group(session, places), tr("Group clips"))
        self._desk.say(tr("{0} grouped: they are selected and moved together", counted(len(places), "clip")))

    def ungroup(self) -> None:
        places = self._with_chosen("ungroup")
        if places:
            self._desk.store.apply(lambda session: ungroup(session, places), tr("Ungroup clips"))

    def mute(self) -> None:
        def edit(session: Session, places: Sequence[Place]) -> Session:
            is_muted = not all(session.track(track).clip(clip).is_muted for track, clip in places)
            return set_clip(session, places, is_muted=is_muted)

        self._edit_chosen("mute", tr("Mute clip"), edit)

    def ask_name(self) -> None:
        places, session = self._with_chosen("rename"), self._desk.session
        if not places:
            return
        track = session.track(places[-1][0])
        old = track.clip(places[-1][1]).name or track.name
        said = self._desk.ask.text(
            tr("Rename clip"),
            tr("Clip name (empty: name of the track):"),
            old,
        )
        if said is not None:
            name = said.strip()[:LONGEST_NAME]
            self._desk.store.apply(lambda session: set_clip(session, places, name=name), tr("Rename clip"))

    def by_line(self, step: int) -> None:
        """Move the chosen clips to the next or previous line of the grid that is shown."""
        places, desk = self._with_chosen("move"), self._desk
        if not places:
            return
        session = desk.session
        track = session.track(places[0][0])
        start = window_of(session, track, track.clip(places[0][1])).start
        beat = session.beat_of(start) + step * desk.view.grid.step
        line = float(nearest_lines(np.array([beat]), desk.view.grid, session.metre)[0])
        by = round(session.frame_of(line)) - start
        desk.store.apply(lambda session: move(session, places, by), tr("Move clip"))

    def choose_all(self) -> None:
        """All clips of the focused track."""
        track = self._desk.view.chosen.focused
        if track is not None:
            self._desk.view.chosen.choose_clips(tuple((track.id, clip.id) for clip in track.clips))
