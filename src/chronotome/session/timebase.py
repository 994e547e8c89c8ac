"""The song's clock: frames, beats and time at a place of a song whose tempo may change."""

from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from chronotome.session.grid import TempoMap
from chronotome.session.metre import MetreMap
from chronotome.units import BeatArray


class Timebase(NamedTuple):
    """Answers what lies where: whoever asks for *the* tempo of a song means the tempo at a place."""

    tempo: TempoMap
    metre: MetreMap
    rate: int

    def frames_at(self, beats: BeatArray) -> NDArray[np.float64]:
        """Session frames, with fractions, of beats of the song."""
        return self.tempo.seconds_at(beats) * self.rate

    def beats_at(self, frames: NDArray[np.float64]) -> BeatArray:
        return self.tempo.beats_at(frames / self.rate)

    def tempo_at(self, beat: float) -> float:
        """Quarter notes a minute at a beat; where it changes, those from there on."""
        return self.tempo.at(beat)

    def later(self, beats: BeatArray, seconds: float) -> BeatArray:
        """Beats so many seconds after others, each by the tempo where it is."""
        return self.tempo.beats_at(self.tempo.seconds_at(beats) + seconds)

    def beats_in(self, seconds: float, beat: float) -> float:
        """Quarter notes that seconds last from a beat on."""
        return float(self.later(np.array([beat]), seconds)[0]) - beat

    def seconds_in(self, beats: float, beat: float) -> float:
        """Seconds that quarter notes last from a beat on."""
        first, last = self.tempo.seconds_at(np.array([beat, beat + beats])).tolist()
        return float(last - first)
