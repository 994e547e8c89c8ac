"""One clock for bars: where the frames of a recording are in the song."""

from dataclasses import dataclass

import numpy as np

from chronotome.session.grid import TempoMap
from chronotome.session.metre import MetreMap
from chronotome.session.onsets import Onsets
from chronotome.session.time_map import TimeMap
from chronotome.units import BeatArray, Frames


@dataclass(frozen=True, eq=False)
class Clock:
    """Where frames of a recording are in beats.

    Frame `source` is played at `seconds` of the session; where the recording follows the song, `fit` leads
    from there to where it sounds, in frames at the session's `session_rate`.
    """

    source: int
    seconds: float
    rate: int
    tempo: TempoMap
    metre: MetreMap
    session_rate: int = 1
    fit: TimeMap | None = None

    def beats_of(self, onsets: Onsets) -> BeatArray:
        return self.beats_at(onsets.frame_array)

    def beats_at(self, frames: Frames) -> BeatArray:
        """Beats of frames of the recording."""
        seconds = (frames - self.source) / self.rate + self.seconds
        if self.fit is not None:
            seconds = self.fit(seconds * self.session_rate) / self.session_rate
        return self.tempo.beats_at(seconds)

    def frames_at(self, beats: BeatArray) -> Frames:
        """Frames of the recording that sound at beats."""
        seconds = self.tempo.seconds_at(beats)
        if self.fit is not None:
            seconds = self.fit.played_of(seconds * self.session_rate) / self.session_rate
        return self.source + np.rint((seconds - self.seconds) * self.rate).astype(np.int64)
