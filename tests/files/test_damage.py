"""Files that were damaged on the way: what comes back is whole, or a sentence says why nothing does."""

import random

import numpy as np
import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from chronotome.dsp.bands import Instrument
from chronotome.errors import ChronotomeError
from chronotome.files.analysis import Analysis, _kept_at, keep_analysis, kept_analysis
from chronotome.files.history_lines import whole_lines
from chronotome.files.journal import Journal, recover
from chronotome.files.session_file import load_session, save_session
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.history import History
from chronotome.session.onsets import onsets_from
from strategies import simple_session, with_audio

FRESH = settings(suppress_health_check=[HealthCheck.function_scoped_fixture], max_examples=60)


@st.composite
def damages(draw):
    """A change of bytes: some overwritten, cut off, left out, or said twice."""
    kind = draw(st.sampled_from(["flip", "cut", "drop", "twice", "zero"]))
    share, length, seed = draw(st.floats(0, 1)), draw(st.integers(1, 40)), draw(st.integers(0, 999))

    def damage(data: bytes) -> bytes:
        at = int(share * (len(data) - 1))
        part = data[at : at + length]
        if kind == "flip":
            chance = random.Random(seed)
            return data[:at] + bytes(chance.randrange(256) for _ in part) + data[at + length :]
        if kind == "zero":
            return data[:at] + b"\0" * len(part) + data[at + length :]
        return {
            "cut": data[:at],
            "drop": data[:at] + data[at + length :],
            "twice": data[:at] + part + data[at:],
        }[kind]

    return damage


@pytest.fixture(scope="module")
def kept(tmp_path_factory):
    """A journal of twenty edits, each with a tempo of its own."""
    folder = tmp_path_factory.mktemp("journal")
    journal = Journal(folder)
    history = History(simple_session([0, 6000], 20000))
    journal.start(history, {}, None)
    for number in range(20):
        history = history.then(set_tempo(history.session, 60.0 + number), f"Edit {number}")
        journal.happened("then", history)
    journal.flush()
    (path,) = list(folder.rglob("*.jsonl"))
    data = path.read_bytes()
    journal.finish()
    return data


@FRESH
@given(damages())
def test_of_a_damaged_journal_a_beginning_comes_back(kept, tmp_path_factory, damage):
    path = tmp_path_factory.mktemp("left") / "left.jsonl"
    path.write_bytes(damage(kept))

    try:
        found = recover(path)
    except ChronotomeError:
        return

    if found is not None:
        tempo = found.history.session.tempo.at(0.0)
        assert 20 <= tempo <= 400
        assert found.edits <= 21
        assert len(found.history.past) <= 21


@pytest.fixture(scope="module")
def saved(tmp_path_factory):
    folder = tmp_path_factory.mktemp("saved")
    session, places = with_audio(simple_session([0, 6000], 20000), folder)
    history = History(session)
    for number in range(8):
        history = history.then(set_tempo(history.session, 90.0 + number), f"Edit {number}")
    save_session(folder / "ferry", history, places)
    (ledger,) = (folder / "ferry").glob("history-*.jsonl")
    return folder / "ferry", ledger, ledger.read_bytes()


@FRESH
@given(damages())
def test_a_damaged_history_never_loses_the_session(saved, damage):
    folder, ledger, data = saved
    ledger.write_bytes(damage(data))

    opened = load_session(folder)

    assert opened.history.session.tempo.at(0.0) == 97.0
    assert len(opened.history.past) <= 500  # a line that is there twice is read twice
    ledger.write_bytes(data)


@given(st.binary(max_size=200))
def test_only_whole_lines_are_lines(data):
    lines = list(whole_lines(data))

    assert sum(len(line) + 1 for line in lines) <= len(data) + 1
    assert all(b"\n" not in line for line in lines)
    assert data.startswith(b"\n".join(lines)) or not lines


@FRESH
@given(damages(), st.sampled_from([None, *Instrument]))
def test_a_damaged_analysis_is_one_that_could_be_or_none(damage, material):
    onsets = onsets_from(np.array([100, 200]), np.array([50.0, 60.0]), np.zeros(2, np.int64))
    content = "c" * 32
    keep_analysis(content, Analysis(onsets, None), material)
    path = _kept_at(content, material)
    path.write_bytes(damage(path.read_bytes()))

    found = kept_analysis(content, material)

    assert found is None or (np.diff(found.onsets.frame_array) > 0).all()
    keep_analysis(content, Analysis(onsets, None), material)
    assert kept_analysis(content, material) == Analysis(onsets, None)
