"""What is known of each instrument when its attacks are judged: one row each. Another one is another row."""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.audio import Audio
from chronotome.dsp.bands import Instrument
from chronotome.units import Frames

Strengths = NDArray[np.float64]
TOLD = 3
"""Kinds of material that the networks can be told of."""


@dataclass(frozen=True)
class Detector:
    """How recordings of an instrument are listened to."""

    told: int | None
    """Which kind the networks are told that it is; None: nothing, they go by what they hear."""
    slow_ms: float = 2.0
    """Expected error of an attack from which it is slow: a drum may be hit twice so soon, a bow hardly."""
    judge: Callable[[Audio, Frames, Strengths], Strengths] | None = None
    """What else it knows: the strengths of candidates (frames), once the networks have judged them."""

    @property
    def column(self) -> int:
        """Of logits that are worked out for every kind, and for none first."""
        return 0 if self.told is None else 1 + self.told


DETECTORS = {
    Instrument.DRUMS: Detector(0, slow_ms=4.0),
    Instrument.STRUCK: Detector(1),
    Instrument.SUSTAINED: Detector(2, slow_ms=0.4),
    Instrument.MIXED: Detector(None),
}
KINDS = np.concatenate([np.zeros((1, TOLD), np.float32), np.eye(TOLD, dtype=np.float32)])
"""What may be said of the material: nothing, or that it is of the first, second or third kind."""
MATERIALS = tuple(
    next(instrument for instrument, detector in DETECTORS.items() if detector.told == kind)
    for kind in range(TOLD)
)
"""What a recording may be heard as."""
