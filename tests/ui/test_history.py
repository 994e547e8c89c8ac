"""The history as a list: steps by name, gone to at one click, kept step by step."""

import pytest
from PySide6.QtCore import Qt

from chronotome.files.journal import recover
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tracks import set_level
from chronotome.ui.dialogs.history import OPENED


@pytest.fixture
def stepped(at_work):
    """Four more steps, and the list."""
    for tempo in (100.0, 101.0, 102.0, 103.0):
        at_work.desk.store.apply(lambda s, tempo=tempo: set_tempo(s, tempo), f"Tempo {tempo:.0f}")
    at_work.press(Qt.Key.Key_F4)
    at_work.list = at_work.window.beside.history.list
    return at_work


def rows(person):
    return [person.list.topLevelItem(row).text(0) for row in range(person.list.topLevelItemCount())]


def click(person, words):
    item = person.list.topLevelItem(rows(person).index(words))
    person.list.scrollToItem(item)
    person.click(person.list.viewport(), person.list.visualItemRect(item).center().toTuple())


def tempo(person):
    return person.session.tempo.at(0.0)


def test_every_step_is_listed_by_name_and_a_click_goes_there_and_back(stepped):
    shown = rows(stepped)
    assert shown[0] == OPENED
    assert shown[-4:] == ["Tempo 100", "Tempo 101", "Tempo 102", "Tempo 103"]
    heard = []
    stepped.desk.store.changed.connect(lambda *_: heard.append(tempo(stepped)))

    click(stepped, "Tempo 101")
    assert (tempo(stepped), heard) == (101.0, [101.0])
    assert rows(stepped) == shown
    assert stepped.window.beside.history.told.text().endswith("2 steps undone. Click a step to go there.")
    click(stepped, "Tempo 103")
    assert tempo(stepped) == 103.0
    click(stepped, OPENED)
    assert stepped.session.tracks == ()
    click(stepped, "Tempo 102")
    assert tempo(stepped) == 102.0


def test_it_follows_what_is_done_in_the_window_and_forgets_what_is_done_anew(stepped):
    click(stepped, "Tempo 100")
    stepped.desk.store.apply(lambda s: set_tempo(s, 77.0), "Another")
    assert rows(stepped)[-2:] == ["Tempo 100", "Another"]
    stepped.window.undo()
    assert stepped.list.currentItem().text(0) == "Tempo 100"
    stepped.list.setCurrentItem(stepped.list.topLevelItem(len(rows(stepped)) - 1))
    stepped.press_in(stepped.window.beside.history, Qt.Key.Key_Return)
    assert tempo(stepped) == 77.0


def test_what_was_gone_to_is_kept_step_by_step_and_comes_back_after_a_kill(stepped):
    click(stepped, "Tempo 100")
    journal = stepped.window._journal
    journal.flush()
    found = recover(journal.path)
    assert found.history.session.tempo.at(0.0) == 100.0
    assert [step.label for step in reversed(found.history.future)] == ["Tempo 101", "Tempo 102", "Tempo 103"]


def test_farther_than_there_are_steps_is_to_the_first_or_the_last(stepped):
    stepped.desk.store.go(-1000)
    assert stepped.desk.store.history.past == ()
    stepped.desk.store.go(1000)
    assert tempo(stepped) == 103.0
    before = stepped.session
    stepped.desk.store.go(5)
    stepped.desk.store.go(0)
    assert stepped.session is before


def test_two_points_are_heard_against_one_another_and_nothing_is_changed(at_work):
    store, track = at_work.desk.store, at_work.session.tracks[0].id
    for level in (-6.0, -12.0):
        store.apply(lambda s, level=level: set_level(s, track, level), f"Level {level:g}")
    at_work.window.beside.show_history()
    dialog, history = at_work.window.beside.history, store.history

    dialog.hear.choose(0)
    assert dialog.hear.index == 2
    dialog.list.setCurrentItem(dialog.list.topLevelItem(dialog.here - 1))

    at_work.press_in(dialog.list, Qt.Key.Key_A)
    dialog.list.setCurrentItem(dialog.list.topLevelItem(dialog.here - 2))
    dialog.marks[1].click()
    assert "A: after “Level -6”" in dialog.compared.text()
    dialog.hear.choose(0)
    assert at_work.session.tracks[0].level == -6.0
    heard = at_work.offline(20_000)
    dialog.hear.choose(1)
    assert at_work.session.tracks[0].level == 0.0
    assert abs(heard).max() < abs(at_work.offline(20_000)).max()
    assert store.history is history
    dialog.hear.choose(2)
    assert at_work.session.tracks[0].level == -12.0
    dialog.hear.choose(1)
    store.undo()
    assert (dialog.hear.index, at_work.session.tracks[0].level) == (2, -6.0)
    dialog.hear.choose(1)
    dialog.reject()
    assert at_work.session.tracks[0].level == -6.0
    assert not store.is_drafting
