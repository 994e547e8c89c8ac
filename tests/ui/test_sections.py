"""Sections: named by hand, found by keys, changed and taken away at the window."""

from itertools import pairwise

import pytest
from hypothesis import given
from hypothesis import strategies as st
from PySide6.QtCore import QPoint, Qt, QTimer
from PySide6.QtGui import QContextMenuEvent
from PySide6.QtWidgets import QApplication

from chronotome.session.edits.sections import (
    SHORTEST,
    add_section,
    change_section,
    loop_section,
    next_name,
    remove_section,
    section_at,
)
from chronotome.session.model import Section, Session, replace

spans = st.lists(st.tuples(st.floats(-8, 64), st.floats(-8, 64)), max_size=12)


def with_spans(each):
    session = Session()
    for start, end in each:
        session = add_section(session, "", start, end)
    return session


@given(spans)
def test_sections_stay_in_order_with_names_of_their_own(each):
    sections = with_spans(each).sections

    assert all(first.start <= second.start for first, second in pairwise(sections))
    assert all(section.end - section.start >= SHORTEST for section in sections)
    assert len({section.name for section in sections}) == len(sections)


@given(spans, st.floats(-8, 64))
def test_the_section_of_a_beat_is_the_shortest_around_it(each, beat):
    sections = with_spans(each).sections

    found = section_at(with_spans(each), beat)

    around = [section for section in sections if section.start <= beat < section.end]
    assert (found is None) == (not around)
    assert found is None or found.end - found.start == min(each.end - each.start for each in around)


def test_a_name_that_is_free_again_is_taken_and_after_z_they_are_counted():
    session = with_spans([(place, place + 1) for place in range(26)])
    assert next_name(session) == "Part 27"

    left = remove_section(session, section_at(session, 2.5))

    assert next_name(left) == "Part C"
    assert remove_section(left, Section("gone", 0.0, 1.0)) is left


def test_a_change_that_makes_no_section_changes_nothing():
    session = with_spans([(0.0, 4.0)])
    section = session.sections[0]

    assert change_section(session, section, end=0.25).sections[0].end == 0.25  # the shortest there is
    for values in ({"end": 0.2}, {"name": "  "}, {"start": 0.0}):
        assert change_section(session, section, **values) is session
    assert change_section(session, Section("other", 0.0, 1.0), end=2.0) is session


def test_looping_a_section_twice_goes_on_looping():
    session = with_spans([(4.0, 8.0)])

    once = loop_section(session, session.sections[0])
    twice = loop_section(once, session.sections[0])

    for each in (once, twice):
        assert each.is_looping
        assert (each.loop.start, each.loop.end) == (4.0, 8.0)


# At the window


@pytest.fixture
def named(at_work, monkeypatch):
    """Two sections of four beats, and a person who types what `said` says."""
    at_work.said = ("Verse", True)
    monkeypatch.setattr("chronotome.ui.window.asked.QInputDialog.getText", lambda *_, **_text: at_work.said)
    at_work.desk.store.apply(
        lambda session: add_section(add_section(session, "One", 0.0, 2.0), "Two", 3.0, 6.0), "Sections"
    )
    at_work.settle()
    return at_work


def run(person, name):
    person.window.actions_table.run(name)


def beat_now(person):
    return person.session.tempo.beat_of(person.desk.transport.position / person.session.rate)


def go_to(person, beat):
    person.desk.transport.go_to(person.session.tempo.seconds_of(beat) * person.session.rate)


def names(person):
    return [section.name for section in person.session.sections]


def test_the_section_at_the_playhead_is_renamed_looped_and_removed(named):
    go_to(named, 4.0)

    run(named, "rename-section")
    assert names(named) == ["One", "Verse"]
    run(named, "loop-section")
    assert (named.session.loop.start, named.session.loop.end) == (3.0, 6.0)
    run(named, "remove-section")
    assert names(named) == ["One"]
    named.desk.store.undo()
    assert names(named) == ["One", "Verse"]


@pytest.mark.parametrize("said", [("", True), ("   ", True), ("Verse", False)])
def test_no_name_names_nothing(named, said):
    named.said = said
    go_to(named, 1.0)

    run(named, "rename-section")
    run(named, "add-section")

    assert names(named) == ["One", "Two"]


def test_keys_step_from_section_to_section_and_say_where_none_is(named):
    go_to(named, 1.0)

    run(named, "next-section")
    assert beat_now(named) == pytest.approx(3.0, abs=1e-3)
    run(named, "next-section")
    assert "No section here" in named.window.status.words.said
    run(named, "previous-section")
    assert beat_now(named) == pytest.approx(0.0, abs=1e-3)


def test_away_from_every_section_that_is_said(named):
    go_to(named, 7.0)

    for action in ("rename-section", "loop-section"):
        named.window.status.words.said = ""
        run(named, action)
        assert "Needs a section at the playhead" in named.window.status.words.said
    run(named, "remove-section")

    assert names(named) == ["One", "Two"]
    assert not named.session.is_looping


def test_a_looped_span_becomes_the_section_that_is_named(named):
    from chronotome.session.edits.timing import set_loop

    named.desk.store.apply(lambda session: set_loop(session, 1.0, 2.0), "Loop")

    run(named, "add-section")

    verse = next(section for section in named.session.sections if section.name == "Verse")
    assert (verse.start, verse.end) == (1.0, 2.0)


def test_a_click_jumps_and_the_menu_of_a_section_does_what_it_says(named):
    lane = named.window.timeline.sections
    left, right = lane._ends(named.session.sections[1])
    place = QPoint(round((left + right) / 2), 10)
    words = []

    def choose():
        menu = QApplication.activePopupWidget()
        words.extend(action.text() for action in menu.actions())
        menu.actions()[2].trigger()
        menu.close()

    named.click(lane, (place.x(), place.y()))
    assert beat_now(named) == pytest.approx(3.0, abs=1e-3)
    QTimer.singleShot(50, choose)
    lane.contextMenuEvent(QContextMenuEvent(QContextMenuEvent.Reason.Mouse, place, lane.mapToGlobal(place)))

    assert words == ["Go to section", "Loop", "Rename…", "Set tempo…", "Change metre…", "Remove"]
    assert names(named) == ["One", "Verse"]


def test_a_start_is_dragged_on_the_beat_and_free_with_shift(named):
    lane = named.window.timeline.sections
    left, _ = lane._ends(named.session.sections[1])
    target = lane.x_of(named.session.tempo.seconds_of(4.3) * named.session.rate)

    named.drag(lane, (left + 1, 10), (target, 10))
    assert named.session.sections[1].start == 4.0
    named.desk.store.undo()
    named.drag(lane, (left + 1, 10), (target, 10), modifier=Qt.KeyboardModifier.ShiftModifier)
    assert named.session.sections[1].start == pytest.approx(4.3, abs=0.05)


@pytest.mark.parametrize(("beside", "spans"), [(-2, [(0.0, 5.0), (4.0, 8.0)]), (2, [(0.0, 4.0), (5.0, 8.0)])])
def test_of_two_sections_that_touch_the_one_under_the_pointer_is_dragged(named, beside, spans):
    named.desk.store.apply(
        lambda session: add_section(
            add_section(replace(session, sections=()), "One", 0.0, 4.0), "Two", 4.0, 8.0
        ),
        "Sections",
    )
    lane = named.window.timeline.sections
    edge, _ = lane._ends(named.session.sections[1])
    target = lane.x_of(named.session.tempo.seconds_of(5.0) * named.session.rate)

    named.drag(lane, (edge + beside, 10), (target, 10))

    assert [(section.start, section.end) for section in named.session.sections] == spans
