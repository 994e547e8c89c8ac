import os

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from chronotome.render.arena import Arena

orders = st.lists(st.tuples(st.booleans(), st.integers(1, 5000), st.integers(1, 3)), max_size=30)


@given(orders)
@settings(deadline=None, max_examples=30)
def test_regions_in_use_never_overlap_and_new_ones_are_silent(orders):
    arena = Arena()
    held = []
    for number, (is_free, frames, channels) in enumerate(orders, 1):
        if is_free and held:
            arena.free(held.pop(0)[0])
            continue
        region = arena.allocate(frames, channels)
        assert not region.samples.any()
        region.samples[:] = number
        held.append((region, number))

    assert all((region.samples == number).all() for region, number in held)


def test_freed_memory_goes_back_to_the_machine():
    arena = Arena()
    region = arena.allocate(1 << 20, 1)
    region.samples[:] = 1
    full = arena.resident_bytes

    arena.free(region)

    assert full >= 4 << 20
    assert arena.resident_bytes < full / 10


def test_another_view_of_the_same_memory_sees_the_samples():
    arena = Arena()
    region = arena.allocate(100, 2)
    region.samples[:] = np.arange(200).reshape(100, 2)

    other = Arena(arena.descriptor)

    assert other.floats[region.offset + 5] == 5


def test_an_arena_that_nobody_holds_gives_its_file_back():
    arena = Arena()
    descriptor = arena.descriptor
    region = arena.allocate(10, 1)
    os.fstat(descriptor)

    del arena, region

    with pytest.raises(OSError, match="descriptor"):
        os.fstat(descriptor)
