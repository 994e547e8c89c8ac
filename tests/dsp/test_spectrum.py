import numpy as np
import pytest
from hypothesis import example, given
from hypothesis import strategies as st

from chronotome.dsp.onsets.candidates import shapes_of
from chronotome.dsp.onsets.rises import octave_rises
from chronotome.dsp.spectrum import fast_size
from sounds import RATE, noise_hits


@given(st.floats(20, 5000))
@example(22.0)
def test_a_quick_size_is_even_near_and_a_product_of_small_primes(wanted):
    size = fast_size(wanted)

    rest = size
    for factor in (2, 3, 5, 7):
        while rest % factor == 0:
            rest //= factor
    assert rest == 1
    assert size % 2 == 0
    assert abs(size / wanted - 1) <= 1 / 11 + 1e-9  # 22 is farthest from any: 20 or 24


@pytest.mark.parametrize("wanted", [128, 1024, 4096])
def test_a_power_of_two_stays(wanted):
    assert fast_size(wanted) == wanted


def test_what_the_networks_see_of_an_attack_does_not_depend_on_where_the_hops_lie():
    sound = noise_hits([9000], 30000)[:, 0]
    seen = []
    for later in (0, 7, 13, 22):
        signal = np.concatenate([np.zeros(later, np.float32), sound])
        seen.append(shapes_of(np.array([9000 + later]), signal, octave_rises(signal, RATE), RATE)[0])

    for other in seen[1:]:
        assert np.abs(other - seen[0]).mean() < 0.2
        assert np.abs(np.roll(seen[0], 5) - seen[0]).mean() > 0.25  # one hop off would be seen
