"""What a property of hits or steps is told once, all that reads it agrees on."""

from typing import get_type_hints

import msgspec
import pytest

from chronotome.session.kits import KitSlice, tone_of
from chronotome.session.patterns import Pattern
from chronotome.session.slices import TONE, VALUES, Slices, slices_at
from chronotome.ui.controls.units import UNITS, scale_of, words_of

EVERY = [*Slices.shaped.values(), *Pattern.shaped.values()]


@pytest.mark.parametrize("table", [Slices, Pattern])
def test_bounds_are_those_that_files_are_held_to(table):
    for name, column in table.shaped.items():
        wanted = get_type_hints(table, include_extras=True)[name]
        for value in (column.least, column.most, column.usual):
            msgspec.convert([column.kind(value)], wanted)
        if column.kind is not bool:
            for beyond in (column.least - 1, column.most + 1):
                with pytest.raises(msgspec.ValidationError):
                    msgspec.convert([column.kind(beyond)], wanted)


@pytest.mark.parametrize("column", [each for each in EVERY if each.shown], ids=lambda each: each.name)
def test_what_is_shown_lies_within_what_may_be_and_is_written(column):
    for low, high, _ in (column.slid, column.shown):
        if not column.in_frames:
            assert column.least <= low < high <= column.most
    scale = scale_of(column)
    assert all(scale.low <= each <= scale.high for each in (*column.marks, scale.zero))
    for share in (0.0, 0.3, 1.0):
        value = scale.value_at(share, is_free=True)
        assert scale.share_of(value) == pytest.approx(share, abs=1e-9)
        assert words_of(column, value)
    assert column.label
    assert column.short
    assert column.unit in UNITS


def test_values_that_are_usual_again_leave_no_column():
    slices = slices_at([100, 200], (0, 300))
    for column in VALUES.values():
        changed = slices.with_values(
            column.name, [1], [(column.least + column.most) / 2 + 1e-3 * column.most]
        )
        assert len(getattr(changed, column.name)) == 3
        assert changed.only([0, 2]).as_usual([0, 1]).is_untouched
        assert changed.with_values(column.name, [1], [column.usual]) == slices
        assert changed.without([1]).ids == (1, 3)


def test_the_tone_of_a_hit_is_that_of_its_slice_on_a_key():
    slices = slices_at([100], (0, 300))
    for name, column in TONE.items():
        slices = slices.with_values(column, [1], [70.0 if name == "cutoff" else 3.0])
    piece = KitSlice(1, "a" * 32, 0, 10, 0, tilt=3.0, cutoff=70.0)
    assert slices.tone_at(1) == tone_of(piece)
    assert slices.is_toned.tolist() == [False, True]
