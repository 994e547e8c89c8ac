"""What the actions do to noises: taken away, heard again."""

import numpy as np

from chronotome.dsp.mute_span import MuteMethod, quiet_place
from chronotome.session.edits.fixes import hush, hush_of, unhush
from chronotome.session.model import Session, Take, TrackId
from chronotome.session.noises import BEFORE_ATTACK
from chronotome.ui.commands.tightening import TightenCommands
from chronotome.ui.state.shown import Shown
from chronotome.ui.state.ui_context import UiContext
from chronotome.units import at_other_rate
from chronotome.words import tr


class NoiseCommands:
    """A noise silenced, faded, made softer, or filled with the room’s own tone."""

    def __init__(self, desk: UiContext, tighten: TightenCommands) -> None:
        self._desk = desk
        self._tighten = tighten

    @property
    def _guiding(self) -> Shown | None:
        return self._desk.guiding

    def hush(self, by: MuteMethod) -> None:
        """Take the chosen hits away, or else what is in the span: silent, faded, softer, or room tone."""
        shown = self._guiding
        if shown is not None and self._desk.refuses_pattern(shown.clip):
            return
        source = None if shown is None else self._desk.recordings.pool.get(shown.recording.content)
        if shown is None or source is None:
            return
        spans = self._spans_meant(shown)
        if not spans:
            self._desk.say(tr("To mute a noise, select hits or drag over the ruler"))
            return
        room = (0, 0)
        if by is MuteMethod.ROOM:
            found = np.array(quiet_place(source.region.samples, source.rate))
            room = tuple(at_other_rate(found, source.rate, shown.recording.rate).tolist())
        new = [hush_of(start, end, by, room=(room[0], room[1])) for start, end in spans]
        self._tighten.edit(
            lambda session, track, take: session if take is None else hush(session, track, take, new),
            tr("Noise: {0}", by),
        )

    def _spans_meant(self, shown: Shown) -> list[tuple[int, int]]:
        """Frames of the recording: of each chosen hit up to the next, or of the span on the ruler."""
        onsets, recording = shown.recording.onsets, shown.recording
        early = round(BEFORE_ATTACK * recording.rate)
        if self._desk.view.chosen.onsets:
            counted = onsets.frame_array[shown.counts]
            places = [
                onsets.frame_of(each)
                for each in self._desk.view.chosen.onsets
                if onsets.place_of(each) is not None
            ]
            following = counted.searchsorted(places, "right")
            ends = [int(counted[at]) - early if at < len(counted) else recording.frames for at in following]
            pairs = [(max(0, place - early), end) for place, end in zip(places, ends, strict=True)]
        elif self._desk.view.span is not None:
            first, last = (self._desk.session.frame_of(beat) for beat in self._desk.view.span)
            pairs = [(shown.recording_frame(first), shown.recording_frame(last))]
        else:
            pairs = []
        return [(start, min(end, recording.frames)) for start, end in pairs if end > start]

    def unhush(self) -> None:
        """What was hushed at the chosen hits, in the span or at the playhead is heard again."""
        shown = self._guiding
        if shown is None:
            return
        here = shown.recording_frame(self._desk.transport.position)
        spans = self._spans_meant(shown) or [(here, here + 1)]

        def edit(session: Session, track: TrackId, take: Take | None) -> Session:
            for start, end in spans:
                take = session.track(track).clip(shown.clip.id).take
                session = unhush(session, track, take, start, end)
            return session

        self._tighten.edit(edit, tr("Restore"))
