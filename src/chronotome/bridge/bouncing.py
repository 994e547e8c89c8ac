"""Clips become a recording of what is heard of them: rendered and written in a thread, then brought in."""

import os
from collections.abc import Sequence

from PySide6.QtCore import QObject, Signal

from chronotome.bridge.recordings import Recordings
from chronotome.bridge.store import Store
from chronotome.bridge.tasks import Tasks
from chronotome.bridge.unsaved_recordings import UnsavedRecordings
from chronotome.files.audio_file import FileFacts, facts_of
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.export import export_clips
from chronotome.files.names import plain_name
from chronotome.files.takes import discard, new_take
from chronotome.progress import Progress, part_of
from chronotome.render.arena import Arena
from chronotome.session.edits.bounce import bounce_beside, bounce_in_place, span_of
from chronotome.session.edits.clips import Place
from chronotome.session.model import Clip, Recording, Session
from chronotome.words import tr

MEANWHILE = tr("Cannot bounce: the session changed meanwhile. Bounce again.")


class Bouncing(QObject):
    """One method, and the news that it is done."""

    brought = Signal(int)
    """The track on which a bounce lies."""

    def __init__(
        self, store: Store, tasks: Tasks, recordings: Recordings, kept: UnsavedRecordings, arena: Arena
    ) -> None:
        super().__init__(store)
        self._store, self._tasks, self._recordings = store, tasks, recordings
        self._kept, self._arena = kept, arena

    def bounce(self, session: Session, places: Sequence[Place], name: str, *, in_place: bool) -> None:
        """Of a session, what is heard of its clips; in their place, or on a track of its own.

        The session may be cut where a range ends: then the one that is open is cut with the same step.
        """
        sources, arena = self._recordings.pool.ready(), self._arena
        start, _ = span_of(session, places)
        asked, cut = self._store.history.session, session
        clips = [_clip(session, place) for place in places]

        def work(progress: Progress) -> FileFacts:
            path, handle = new_take("bounce")
            os.close(handle)
            try:
                share = part_of(progress, 0.0, 0.9)
                export_clips(session, places, sources, arena, path, ENCODINGS["wavfloat"], share)
                return facts_of(path, part_of(progress, 0.9, 1.0))
            except BaseException:
                discard(path)  # cancelled, or the disk is full: nothing of it stays
                raise

        def show(facts: FileFacts) -> None:
            now = self._store.session
            known = {(track.id, clip.id): clip for track, clip in now.clips}
            if in_place and any(known.get(place) != clip for place, clip in zip(places, clips, strict=True)):
                self._tasks.told.emit(MEANWHILE)
                return
            file = plain_name(f"{name}.wav")
            recording = self._recordings.renamed(
                Recording(facts.content, file, facts.rate, facts.frames, facts.channels)
            )

            def edit(session: Session) -> Session:
                if in_place:
                    return bounce_in_place(session, places, recording, start)
                return bounce_beside(cut if session is asked else session, places, recording, name, start)

            self._store.apply(edit, tr("Bounce {0}", name))
            self._recordings.bring(facts.content, facts.path)
            self._kept.add(facts.content, facts.path)
            where = next(
                (track.id for track, clip in self._store.session.clips if clip.recording == facts.content),
                None,
            )
            if where is not None:
                self.brought.emit(where)

        self._tasks.run(tr("Bouncing {0}", name), work, show)


def _clip(session: Session, place: Place) -> Clip:
    return session.track(place[0]).clip(place[1])
