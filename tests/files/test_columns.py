import json

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from chronotome.files import history_lines
from chronotome.files.columns import MOST_SPLICES, differences, spliced
from chronotome.files.history_lines import LedgerReader, LedgerWriter, encode
from chronotome.session.edits.marks import add_onset, drop_onset, lock_onsets, move_onset
from chronotome.session.edits.tightening import move_hits
from chronotome.session.history import History
from chronotome.session.onsets import onsets_from
from strategies import simple_session

TOO_MANY = [[0, 0, [2]]] * (MOST_SPLICES + 1)
VALUES = st.lists(st.integers(0, 3), max_size=300).map(tuple)


@given(VALUES, st.data())
def test_what_is_different_leads_from_the_old_to_the_new(old, data):
    new = list(old)
    for _ in range(data.draw(st.integers(0, 6))):
        at = data.draw(st.integers(0, len(new)))
        kind = data.draw(st.sampled_from(["set", "put", "take"]))
        if kind == "put":
            new.insert(at, 9)
        elif at < len(new):
            new[at : at + 1] = [9] if kind == "set" else []

    changes = differences(old, tuple(new))

    assert changes is not None
    assert spliced(old, changes) == tuple(new)
    assert sum(len(put) for _, _, put in changes) <= len(new)


def test_one_value_among_many_is_one_short_change():
    old = tuple(range(20_000))
    new = (*old[:12_345], -1, *old[12_346:])

    assert differences(old, new) == [(12_345, 1, (-1,))]
    assert differences(old, (*old[:7], -1, *old[7:])) == [(7, 0, (-1,))]
    assert differences(old, old[:7] + old[9:]) == [(7, 2, ())]
    other = tuple(-value for value in old)
    assert differences(old, other) == [(1, 19_999, other[1:])]
    assert differences(old, tuple(value if value % 2 else -1 for value in old)) is None


def test_changes_of_other_lengths_move_what_comes_after_them():
    assert spliced((0, 1, 2, 3, 4), [(1, 1, (7, 8)), (3, 1, ()), (5, 0, (9,))]) == (0, 7, 8, 2, 4, 9)


@pytest.mark.parametrize(
    "changes", [[(5, 1, ()), (4, 1, ())], [(9, 2, ())], [(11, 0, (1,))], [(2, 3, ()), (4, 0, ())]]
)
def test_changes_outside_of_a_column_or_out_of_order_are_refused(changes):
    with pytest.raises(ValueError, match="outside"):
        spliced(tuple(range(10)), changes)


def moved(moves, hits=2000):
    session = simple_session([0, 6000], 20_000_000)
    content = session.recordings[0].content
    many = onsets_from(np.arange(hits) * 1000, np.full(hits, 70.0), np.ones(hits, np.int64))
    session = history_lines.replace(
        session, recordings=(history_lines.replace(session.recordings[0], onsets=many),)
    )
    history = History(session)
    for number in range(moves):
        frame, onset = 7000 * number + 2345, 7 * number + 3
        ways = (
            move_onset(history.session, content, onset, frame),
            drop_onset(history.session, content, onset),
            add_onset(history.session, content, frame),
        )
        history = history.then(ways[number % 3], f"Edit {number}")
    return history


def test_a_moved_mark_costs_a_few_hundred_bytes_not_its_column():
    history, writer = moved(60), LedgerWriter()

    lines = writer.whole(history)

    reader = LedgerReader()
    reader.read(lines)
    assert reader.history.session == history.session
    assert [step.session for step in reader.history.past] == [step.session for step in history.past]
    assert sum(map(len, lines)) < 60 * 4000 + 2 * sum(len(line) for line in lines[:12])


def test_of_a_long_history_the_newest_steps_are_kept(monkeypatch):
    history = moved(40)
    for name, value, kept in (
        ("MOST_STEPS", 30, 30),
        ("MOST_BYTES", 30_000, None),
        ("MOST_VALUES", 500_000, None),
    ):
        with monkeypatch.context() as narrow:
            narrow.setattr(history_lines, name, value)
            reader = LedgerReader()
            reader.read(LedgerWriter().whole(history))
        steps = reader.history.past
        assert kept is None or len(steps) == kept
        assert 0 < len(steps) < 40
        assert [step.label for step in steps] == [step.label for step in history.past[-len(steps) :]]
        assert reader.history.session == history.session


@pytest.mark.parametrize(("bound", "value"), [("MOST_VALUES", 300_000), ("MOST_STEPS", 20)])
def test_a_journal_begins_its_numbers_anew_before_it_is_too_large_to_be_read(monkeypatch, bound, value):
    monkeypatch.setattr(history_lines, bound, value)
    history = moved(90)
    writer, reader = LedgerWriter(), LedgerReader()
    reader.read(writer.whole(History(history.past[0].session)))
    so_far = History(history.past[0].session)
    for step in (*history.past[1:], None):
        session = history.session if step is None else step.session
        so_far = so_far.then(session, "Edit")
        reader.read(writer.event("then", so_far))

    assert reader.history.session == history.session
    assert reader.events == 90
    assert len(writer._kept) < 4 * 90  # parts that a history of 90 steps in one go would hold


@pytest.mark.parametrize(
    "lines",
    [
        [{"column": 1, "name": "frames", "value": [-5]}],
        [{"column": 1, "name": "next_id", "value": [5]}],
        [{"column": 1, "name": "frames", "of": 7, "changes": []}],
        [{"column": 1, "name": "ids", "value": [1]}, {"column": 2, "name": "frames", "of": 1, "changes": []}],
        [
            {"column": 1, "name": "frames", "value": [5]},
            {"column": 2, "name": "frames", "of": 1, "changes": [[3, 1, [2]]]},
        ],
        [
            {"column": 1, "name": "ids", "value": [1]},
            {"column": 2, "name": "ids", "of": 1, "changes": TOO_MANY},
        ],
    ],
)
def test_columns_that_nobody_wrote_are_refused(lines):
    with pytest.raises(ValueError, match=r"column|damaged|change"):
        LedgerReader().read(map(encode, lines))


def test_histories_of_before_columns_were_shared_are_read():
    history = moved(3, hits=5)
    session = history.session
    lines = [
        {"recording": 1, "value": session.recordings[0]},
        {"track": 2, "value": session.tracks[0]},
        {"session": 3, "value": {"next_id": session.next_id}, "recordings": [1], "tracks": [2]},
        {"event": "history", "past": [], "session": 3, "future": []},
    ]
    reader = LedgerReader()

    reader.read(map(encode, lines))

    assert reader.history.session.recordings == session.recordings
    assert json.loads(encode(lines[0]))["value"]["onsets"]["ids"]


@pytest.mark.parametrize("kind", ["locked", "moved by hand"])
def test_twenty_thousand_marks_cost_an_edit_little_whatever_was_done_to_them(kind):
    session = simple_session(list(range(0, 2_000_000, 100)), 2_100_000)
    recording, track = session.recordings[0], session.tracks[0]
    ids, clip = recording.onsets.ids, track.clips[0].id
    every = {onset: number / 7 for number, onset in enumerate(ids)}
    history = History(session if kind == "locked" else move_hits(session, track.id, clip, every))
    writer = LedgerWriter()
    lines = writer.whole(history)
    started = sum(map(len, lines))
    for number in range(12):
        now = history.session
        edited = (
            lock_onsets(now, recording.content, ids[number % 5 :: 3], is_locked=number % 2 == 0)
            if kind == "locked"
            else move_hits(now, track.id, clip, {ids[50 * number]: 3.3})
        )
        history = history.then(edited, f"Edit {number}")
        lines += writer.event("then", history)

    reader = LedgerReader()
    reader.read(lines)

    assert reader.history.session == history.session
    assert (sum(map(len, lines)) - started) / 12 < 20e6 / 1000
