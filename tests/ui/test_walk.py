"""The first start: three cards, and a walk that points at the real controls and can be left at any time."""

import shutil

from PySide6.QtCore import QPoint, Qt
from PySide6.QtWidgets import QFileDialog

from chronotome.files.places import load_settings
from chronotome.session.edits.tracks import remove_track
from chronotome.ui.panels.recent import RecentCard
from chronotome.ui.state.view_state import Stage


def welcome(person):
    return person.window._work.widget(0)


def middle(widget, window):
    return widget.mapTo(window, QPoint(0, 0)) + widget.rect().center()


def test_three_cards_open_the_demo_files_or_the_walk(person, monkeypatch, hits_file):
    cards = welcome(person).cards
    assert [card.accessibleName() for card in cards] == ["Open demo session", "Open files", "Guided tour"]
    assert all(card.isVisible() for card in cards)
    monkeypatch.setattr(QFileDialog, "getOpenFileNames", lambda *_: ([str(hits_file)], ""))
    person.click(cards[1])
    person.wait(lambda: bool(person.session.tracks))
    assert not welcome(person).isVisible()


def test_the_walk_points_at_each_control_and_is_left_at_its_end(person):
    person.click(welcome(person).cards[2])
    person.wait(lambda: "walk" in vars(person.window.beside) and person.window.beside.walk.is_on)
    person.settle()
    walk, stages = person.window.beside.walk, []
    for number, step in enumerate(walk.steps):
        assert walk.number == number
        target = step.of()
        assert target.isVisible()
        assert walk._outline.geometry().contains(middle(target, person.window))
        assert not walk.card.geometry().intersects(target.geometry()) or target.height() > 100
        assert person.window.rect().contains(walk.card.geometry())
        assert step.words.replace("{0}", "Bucket kit") in walk.card.accessibleName()
        stages.append(person.desk.view.stage)
        person.press_in(person.window.focusWidget(), Qt.Key.Key_Return)
    assert stages[2:] == [Stage.MARK, Stage.FIT, *[Stage.TIGHTEN] * 3, Stage.REWORK, Stage.EXPORT]
    assert not walk.is_on
    assert not walk.card.isVisible()


def test_the_window_works_meanwhile_and_escape_leaves_the_walk(at_work):
    at_work.window.actions_table.run("walk")
    walk = at_work.window.beside.walk
    assert walk.is_on
    assert "You hear stairwell" in walk.card.words.text()
    at_work.press(Qt.Key.Key_M)
    at_work.press(Qt.Key.Key_Return)
    assert walk.number == 1
    at_work.press_in(walk.card.next, Qt.Key.Key_Backspace)
    assert at_work.session.tracks[0].is_muted
    assert walk.number == 0
    at_work.click(walk.card.next)
    at_work.click(walk.card.back)
    for _ in range(4):
        at_work.click(walk.card.next)
    at_work.window.resize(1100, 720)
    assert at_work.window.rect().contains(walk.card.geometry())
    target = walk.steps[walk.number].of()
    assert walk._outline.geometry().contains(middle(target, at_work.window))
    at_work.press(Qt.Key.Key_Escape)
    assert not walk.is_on
    at_work.window.actions_table.run("walk")
    at_work.click(walk.card.leave)
    assert not walk._outline.isVisible()


def test_the_walk_ends_where_nothing_is_left_to_point_at(at_work):
    at_work.window.actions_table.run("walk")
    walk = at_work.window.beside.walk
    track = at_work.session.tracks[0].id
    at_work.desk.store.apply(lambda session: remove_track(session, track), "Remove track")
    assert not walk.is_on
    assert not walk.card.isVisible()


def test_recent_sessions_stand_on_the_first_page_with_a_picture_and_can_be_cleared(at_work, tmp_path):
    window, document = at_work.window, at_work.desk.document
    assert not welcome(at_work).forget.isVisible()
    document.save(tmp_path / "Quay")
    at_work.settle()
    at_work.wait(lambda: window.restoring._wave != "")
    document.new()
    at_work.settle()
    (card,) = welcome(at_work).findChildren(RecentCard)
    assert card.isVisible()
    assert card.accessibleDescription() == "120.00 bpm, 1 track"
    heights = bytes.fromhex(card._recent.sight.wave)
    assert max(heights) > 100 > min(heights), "loud where hits are, and quiet between them"
    at_work.click(card)
    at_work.wait(lambda: document.folder == tmp_path / "Quay")
    at_work.settle()
    document.new()
    at_work.settle()
    shutil.rmtree(tmp_path / "Quay")
    document.new()
    window._show_recent()
    assert not welcome(at_work)._recent.isVisible(), "one that is gone is not offered"
    window._forget_recent()
    assert load_settings().recent == ()
