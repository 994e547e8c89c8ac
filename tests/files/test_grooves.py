"""Grooves in files: what is written is read again, and what is damaged says so."""

import json
from pathlib import Path

import msgspec
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.errors import CannotWrite, UnusableFile
from chronotome.files.grooves import (
    keep_groove,
    kept_grooves,
    library_folder,
    read_groove,
    schema,
    shipped_grooves,
    write_groove,
)
from chronotome.files.midi_in import read_midi
from chronotome.session.grid import Feel, Grid
from chronotome.session.groove import Groove, GrooveStep
from chronotome.session.metre import Metre

ROOT = Path(__file__).parents[2]
steps = st.lists(
    st.builds(
        GrooveStep,
        st.integers(0, 15).map(lambda at: at / 4),
        st.floats(-40, 40).map(lambda late: round(late, 2)),
        st.floats(-30, 0).map(lambda level: round(level, 1)),
        st.floats(0, 20).map(lambda spread: round(spread, 2)),
        st.integers(0, 99),
    ),
    max_size=16,
    unique_by=lambda step: step.beat,
).map(lambda found: tuple(sorted(found, key=lambda step: step.beat)))


@given(steps, st.sampled_from([0.0, 92.0]))
def test_a_groove_is_read_as_it_was_written(tmp_path_factory, found, bpm):
    path = tmp_path_factory.mktemp("groove") / "feel.json"
    groove = Groove(0, "Ferry feel", Grid(16, Feel.STRAIGHT), 1, Metre(), found, bpm)

    write_groove(path, groove)

    assert read_groove(path) == groove
    document = json.loads(path.read_text())
    assert set(document) == {"version", "name", "grid", "bars", "metre", "steps"} | (
        {"bpm"} if bpm else set()
    )


@given(steps.filter(len))
def test_a_groove_goes_through_midi_with_its_timing_and_its_loudness(tmp_path_factory, found):
    path = tmp_path_factory.mktemp("groove") / "feel.mid"
    groove = Groove(0, "feel", steps=found, beats_per_minute=92.0)

    write_groove(path, groove)

    again = read_groove(path)
    assert again.beats_per_minute == pytest.approx(92.0, abs=0.01)
    assert [step.beat for step in again.steps] == [step.beat for step in found]
    for one, two in zip(found, again.steps, strict=True):
        if one.beat > 0 or one.offset_ms >= 0:  # a file begins at its first beat
            assert two.offset_ms == pytest.approx(one.offset_ms, abs=0.1)
        assert two.level_db == pytest.approx(max(one.level_db, -36.0), abs=0.2)


@pytest.mark.parametrize(
    "text",
    [
        "{}",
        "[]",
        '{"name": "a", "grid": "1/7x", "steps": []}',
        '{"name": "a", "grid": "1/16", "steps": [{"beat": 5.0}]}',
        '{"name": "a", "grid": "1/16", "steps": [{"beat": 0.0, "offset_ms": 1e9}]}',
        '{"name": "a", "grid": "1/16", "bars": 9, "steps": []}',
        '{"name": "a", "grid": "1/16", "version": 2, "steps": []}',
        '{"name": "a", "grid": "1/16", "metre": "4/99", "steps": []}',
        '{"name": "a", "grid": "1/16", "steps": [{"beat": NaN}]}',
    ],
)
def test_what_is_no_groove_is_told_by_its_name(tmp_path, text):
    path = tmp_path / "broken.json"
    path.write_text(text)

    with pytest.raises(UnusableFile, match=r"broken\.json"):
        read_groove(path)


def test_damaged_midi_a_folder_and_nothing_are_told(tmp_path):
    (tmp_path / "a.mid").write_bytes(b"MThd\x00\x00")
    (tmp_path / "b.json").mkdir()

    for name in ("a.mid", "b.json", "c.json"):
        with pytest.raises(UnusableFile, match=name):
            read_groove(tmp_path / name)


def test_the_library_is_the_person_s_and_what_is_damaged_there_is_left_out():
    one = Groove(0, "Ferry / feel", steps=(GrooveStep(0.0, 5.0),))
    path = keep_groove(one)
    keep_groove(msgspec.structs.replace(one, steps=()))
    (library_folder() / "bad.groove.json").write_text("no")

    assert path.parent == library_folder()
    assert [groove.steps for _, groove in kept_grooves()] == [()]


def test_eight_are_shipped_with_names_of_their_own():
    grooves = list(shipped_grooves())

    assert len({groove.name for groove in grooves}) == 8
    assert all(len(groove.steps) >= 8 for groove in grooves)


def test_where_nothing_can_be_written_it_is_said(tmp_path):
    with pytest.raises(CannotWrite, match="nowhere"):
        write_groove(tmp_path / "nowhere" / "feel.json", Groove(0, "a"))


def test_the_schema_in_docs_is_the_one_of_the_code():
    kept = json.loads((ROOT / "docs" / "groove.schema.json").read_text())

    assert kept == json.loads(msgspec.json.encode(schema()))


def test_a_groove_of_any_tempo_can_be_written_as_midi_and_keeps_its_milliseconds(tmp_path):
    steps = (GrooveStep(0.0, 5.0, 0.0, 0.0, 1), GrooveStep(1.0, -7.5, -6.0, 0.0, 1))
    groove = Groove(0, "slow", Grid(16), 1, Metre(), steps, 0.5)
    write_groove(tmp_path / "slow.mid", groove)
    data = (tmp_path / "slow.mid").read_bytes()
    read = read_midi(data)
    (first, _), (second, _) = list(zip(read.seconds(), read.notes, strict=True))[::2]
    beat = read.tempos[0][1] / 1e6
    assert first == pytest.approx(0.005, abs=0.001)
    assert second - beat == pytest.approx(-0.0075, abs=0.001)
