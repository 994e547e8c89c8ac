"""A tempo from taps."""

from dataclasses import dataclass

import numpy as np

from chronotome.order_stats import middle_of
from chronotome.ui.state.figures import plain
from chronotome.words import tr

LONGEST_TAP_GAP = 2.0
TAPS = 16
FEWEST_TAPS = 4
OUTLIER_SHARE = 0.25


@dataclass(frozen=True)
class Tapped:
    """Beats per minute from taps: the mean of the gaps that are near their median, and its standard error."""

    tempo: float
    unsure: float
    taps: int


def tempo_of_taps(moments: list[float]) -> Tapped | None:
    """None where there are too few. Gaps that are a quarter off the median are left out."""
    gaps = np.diff(moments)
    if len(gaps) < FEWEST_TAPS - 1:
        return None
    middle = middle_of(gaps)
    kept = gaps[np.abs(gaps - middle) <= OUTLIER_SHARE * middle]
    if not len(kept):
        return None
    mean = float(np.mean(kept))
    return Tapped(60 / mean, float(60 / mean**2 * np.std(kept) / np.sqrt(len(kept))), len(kept) + 1)


def tap_words(found: Tapped) -> str:
    return tr("{0} bpm ± {1} from {2} taps", plain(found.tempo, 2), plain(found.unsure, 2), found.taps)


def more_taps_words(taps: list[float]) -> str:
    return tr("Tap {0} more times for a tempo", FEWEST_TAPS - len(taps))
