"""Which steps are beats and which beats start a bar."""

import numpy as np
import pytest

from chronotome.dsp.beats.metre import TEMPI, hypotheses, likeliest
from chronotome.dsp.beats.pacing import Pacing

BARS = 8


def played(beats, period, *, late=0):
    """Kick on one, snare in the middle, hats on every half beat, from a later step on."""
    moments, rises = [], []
    for half in range(2 * beats * BARS):
        place = half % (2 * beats)
        kick, snare = place == 0, place == 2 * (beats // 2) and beats > 2
        moments.append((half + 2 * late) * period / 2 + 0.1)
        rises.append([0.9 * kick, 0.8 * snare, 0.4 + 0.2 * (place % 2 == 0), 0.5 + 0.4 * (kick or snare)])
    return np.array(moments), np.array(rises).T


def answer_to(beats, period, *, step=1.0, late=0):
    moments, rises = played(beats, period, late=late)
    steps = Pacing(0.1 + np.arange(400) * period * step, is_constant=True, spread=0.0)
    return likeliest(moments, rises, np.full(len(moments), 80.0), steps, moments[-1] + 0.5)


@pytest.mark.parametrize("beats", [3, 4])
@pytest.mark.parametrize("step", [1.0, 0.5])
def test_the_bar_is_found_whatever_the_first_guess_of_the_beat_was(beats, step):
    found = answer_to(beats, 0.6, step=step)

    assert found.ratio * step == pytest.approx(1.0)
    assert found.beats == beats
    assert found.start * step % beats == pytest.approx(0.0, abs=0.1)


def test_a_bar_that_starts_later_is_told_where_it_starts():
    found = answer_to(4, 0.55, late=3)

    assert (found.beats, found.start % 4) == (4, pytest.approx(3.0, abs=0.1))


def test_confidences_are_shares_and_the_first_is_the_answer():
    found = answer_to(4, 0.5)

    shares = [candidate.confidence for candidate in found.candidates]
    assert shares == sorted(shares, reverse=True)
    assert 0.0 < sum(shares) <= 1.0 + 1e-9
    assert found.candidates[0].ratio == found.ratio
    assert 0.0 <= found.bar_confidence <= 1.0


def test_only_tempi_at_which_a_metre_is_played_are_considered():
    moments, rises = played(4, 0.5)
    steps = Pacing(0.1 + np.arange(400) * 0.5, is_constant=True, spread=0.0)

    groups = list(hypotheses(moments, rises, np.full(len(moments), 80.0), steps, 20.0))

    for group in groups:
        slowest, fastest = TEMPI[group.beats]
        assert slowest <= 120 / group.ratio <= fastest
    assert {group.beats for group in groups} == set(TEMPI)
