import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.ui.state.figures import clock, counted, decibels, signed
from chronotome.ui.state.viewport import CLOSEST, Viewport
from chronotome.ui.timeline.hit_test import nearest_column, nearest_in_reach
from chronotome.ui.timeline.value_lane import ring_size

viewports = st.builds(Viewport, st.floats(-1e5, 1e6), st.floats(CLOSEST, 5000), st.integers(10, 3000))


@given(viewports, st.floats(0.1, 10), st.floats(0, 1))
def test_zooming_keeps_the_frame_under_the_pointer_while_there_is_room(viewport, factor, share):
    total = 10**9
    x = share * viewport.width
    viewport = viewport.held(total)

    zoomed = viewport.zoomed(factor, x, total)

    held = zoomed.held(total)
    assert held == zoomed
    if -0.04 * zoomed.width * zoomed.frames_per_pixel < zoomed.start:
        assert zoomed.frame_of(x) == pytest.approx(
            viewport.frame_of(x), rel=1e-6, abs=zoomed.frames_per_pixel
        )


@given(viewports, st.floats(-1e6, 1e6))
def test_places_and_frames_are_inverse(viewport, frame):
    assert viewport.frame_of(viewport.x_of(frame)) == pytest.approx(frame, abs=1e-3)
    assert viewport.xs_of(np.array([frame]))[0] == pytest.approx(viewport.x_of(frame))


@given(viewports, st.floats(0, 1e6))
def test_a_playhead_is_followed_like_a_page(viewport, frame):
    followed = viewport.following(frame)

    assert followed.start <= frame < followed.end
    assert (followed is viewport) == (viewport.start <= frame < viewport.end)


def test_the_nearest_mark_in_reach():
    xs, ys = np.array([10.0, 20.0]), np.array([0.0, 50.0])

    assert nearest_in_reach(xs, ys, 19, 45, reach=8) == 1
    assert nearest_in_reach(xs, ys, 15, 20, reach=8) is None
    assert nearest_column(xs, 12, reach=3) == 0
    assert nearest_column(np.zeros(0), 12, reach=3) is None


@pytest.mark.parametrize(
    ("made", "words"),
    [
        (signed(-3.14), "−3.1"),
        (signed(2.0), "+2.0"),
        (signed(-0.01), "0.0"),
        (clock(63.9), "1:03.900"),
        (clock(-0.25), "−0:00.250"),
        (decibels(-90), "−∞ dB"),
        (decibels(-3), "−3.0 dB"),
        (counted(1, "hit"), "1 hit"),
        (counted(3, "hit"), "3 hits"),
    ],
)
def test_figures_are_written_in_one_way(made, words):
    assert made == words


inside = st.builds(Viewport, st.floats(1e6, 2e6), st.floats(1, 50), st.integers(100, 3000))
"""Views with room on both sides."""


@pytest.mark.parametrize(("apart", "size"), [(40.0, 7), (15.0, 6), (9.0, 3), (2.0, 3)])
def test_rings_grow_smaller_where_they_would_lie_on_one_another(apart, size):
    xs = np.arange(80) * apart
    assert ring_size(xs, 7) == size
    assert ring_size(np.flip(xs), 7) == size
    assert ring_size(xs[:1], 7) == 7


@given(inside, st.floats(0, 1))
def test_a_wider_view_covers_the_one_it_was_made_from_and_what_is_scrolled_to(viewport, share):
    wide = viewport.widened(0.5)
    reach = 0.49 * viewport.width

    assert wide.frames_per_pixel == viewport.frames_per_pixel
    assert wide.covers(viewport, stretched=1.0)
    assert wide.covers(viewport.scrolled(share * reach, 10**12), stretched=1.0)
    assert not wide.covers(viewport.scrolled(2 * viewport.width, 10**12), stretched=1.0)


@given(inside, st.floats(1.05, 1.9))
def test_an_image_may_be_stretched_as_far_as_is_said(viewport, factor):
    closer = viewport.zoomed(factor, viewport.width / 2, 10**12)
    wide = viewport.widened(0.5)

    assert not wide.covers(closer, stretched=1.0)
    assert wide.covers(closer, stretched=2.0)
