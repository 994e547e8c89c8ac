"""What can be done about the joins of the proof: go there, and mend one that clicks."""

from collections.abc import Callable
from functools import partial

import numpy as np

from chronotome.bridge.store import Edit
from chronotome.dsp.clicks import ALLOWED, nearest_crossing
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.render.join_report import Edge, JoinReport
from chronotome.session.check import Check, Kind
from chronotome.session.edits.clips import Place, set_clip, trim
from chronotome.session.edits.fixes import mended
from chronotome.session.edits.tracks import set_moving
from chronotome.session.metre import hit_words
from chronotome.session.model import MOST_FADE, Clip, Session
from chronotome.session.settings import MOST_CROSSFADE
from chronotome.ui.state.figures import signed
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

LONGER_FADE = 0.01
CROSSING_SECONDS = 0.02
NEAR_SECONDS = 0.05


class ProofCommands:
    """By the number of a join in the proof as it is now."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    @property
    def proof(self) -> JoinReport | None:
        return self._desk.proving.proof

    def _place(self, proof: JoinReport, number: int) -> tuple[Place, Clip] | None:
        clip = int(proof.found.clips[number])
        found = ((track.id, each) for track, each in self._desk.session.clips if each.id == clip)
        return next((((track, each.id), each) for track, each in found), None)

    def go_to(self, number: int) -> None:
        """The playhead to a join, the clip of it in the tall lane, and what is to be said of it."""
        proof = self.proof
        if proof is None or not 0 <= number < len(proof.joins):
            return
        desk, frame, level = self._desk, float(proof.joins[number]), float(proof.levels[number])
        place = self._place(proof, number)
        if place is not None:
            desk.view.chosen.choose_clips((place[0],))
        desk.view.sight.center_on(frame)
        if not desk.transport.is_playing:
            desk.transport.go_to(frame)
        where = hit_words(desk.session.beat_of(frame), desk.session.metre)
        kind = tr("Audible: right-click for a fix") if level > ALLOWED else tr("inaudible")
        desk.say(tr("Join at {0}: {1} dB relative to the roughest place. {2}", where, signed(level), kind))

    def next_click(self) -> None:
        """The next join that clicks, after the playhead; round again after the last."""
        proof = self.proof
        bad = np.zeros(0, int) if proof is None else np.flatnonzero(proof.levels > ALLOWED)
        if proof is None or not len(bad):
            self._desk.say(tr("No join clicks") if proof is not None else tr("The joins are not checked yet"))
            return
        after = bad[proof.joins[bad] > self._desk.transport.position + 1]
        self.go_to(int(after[0] if len(after) else bad[0]))

    def mends(self, number: int) -> list[tuple[str, Callable[[], None]]]:
        """What would put a join right, in words, and what does it."""
        proof = self.proof
        found = None if proof is None else self._place(proof, number)
        if proof is None or found is None:
            return []
        place, clip = found
        edge = Edge(int(proof.found.edges[number]))
        edits = self._inside(place, clip, int(proof.joins[number])) if edge is Edge.INSIDE else []
        if edge is not Edge.INSIDE:
            name = "fade_in" if edge is Edge.START else "fade_out"
            longer = min(MOST_FADE, max(LONGER_FADE, 2 * getattr(clip, name)))
            edits.append((tr("Lengthen fade"), lambda session: set_clip(session, [place], **{name: longer})))
            crossing = self._crossing(clip, edge)
            if crossing is not None:
                start, end = (crossing, None) if edge is Edge.START else (None, crossing)
                edits.append(
                    (
                        tr("Snap to zero crossing"),
                        lambda session: trim(session, *place, start=start, end=end),
                    )
                )
        return [
            (words, partial(self._desk.store.apply, edit, tr("Fix: {0}", words.lower())))
            for words, edit in edits
        ]

    def _crossing(self, clip: Clip, edge: Edge) -> int | None:
        """The frame of the recording nearest to an edge at which it goes through 0."""
        source = self._desk.recordings.pool.get(clip.recording)
        if source is None or clip.take.playing is not None:
            return None
        session = self._desk.session
        ratio = session.rate / session.recording_with(clip.recording).rate
        own = clip.source_start if edge is Edge.START else clip.source_end
        reach = round(CROSSING_SECONDS * session.rate)
        found = nearest_crossing(source.region.samples, round(own * ratio), reach)
        frame = round(found / ratio)
        return None if frame == own else frame

    def _inside(self, place: Place, clip: Clip, frame: int) -> list[tuple[str, Edit]]:
        """As the check of that place offers; else a longer crossfade, where it is moved by cutting."""
        session = self._desk.session
        track = session.track(place[0])
        checks = self._desk.checks(track, clip.take).of_kind(Kind.JOIN)
        near = NEAR_SECONDS * session.rate
        for number in range(len(checks)):
            check = checks[number]
            if abs(session.frame_of(check.beat) - frame) < near:
                return [
                    (mend.words, partial(_mended, place, check, at)) for at, mend in enumerate(check.mends)
                ]
        moving = track.moving_of(clip.take)
        if moving.by is not MoveBy.CUTTING:
            return []
        longer = min(MOST_CROSSFADE, 2 * moving.crossfade)
        return [
            (
                tr("Lengthen crossfade"),
                lambda session: set_moving(session, track.id, clip.take, crossfade=longer),
            )
        ]


def _mended(place: Place, check: Check, number: int, session: Session) -> Session:
    return mended(session, *place, check, number)
