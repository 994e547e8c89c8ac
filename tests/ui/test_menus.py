"""Menus: few, short, each entry once, grey with a reason where it can do nothing; shortcuts work."""

import contextlib
import re

from PySide6.QtCore import QPoint
from PySide6.QtGui import QContextMenuEvent, QKeySequence
from PySide6.QtWidgets import QApplication, QDialog, QFileDialog, QInputDialog

from chronotome.errors import ChronotomeError
from chronotome.session.edits.matching import match_to
from chronotome.session.edits.slicing import At, Cuts, take_apart
from chronotome.ui.actions.menus import LINE, MENUS, Menu, paths
from chronotome.ui.state.view_state import Stage
from chronotome.ui.window.context_menus import CONTEXT
from sounds import noise_hits, write

NUDGE = re.compile(r"[:,] ?[+−]|: (more|less)$")
NO_MENU = NUDGE.search


def levels(menu):
    """Each menu, and those within it."""
    yield menu
    for row in menu.rows:
        if isinstance(row, Menu):
            yield from levels(row)


def plain(text):
    return text.replace("&", "").removesuffix("…")


def test_menus_are_few_and_short_and_every_action_but_nudges_stands_in_one(at_work):
    table = at_work.window.actions_table
    assert len(MENUS) <= 9
    for menu in (each for top in MENUS for each in levels(top)):
        assert sum(row != LINE for row in menu.rows) <= 16, menu.words
    placed = [name for menu in MENUS for name in menu.names]
    assert len(set(placed)) == len(placed)
    known = {entry.name: entry.words for entry in table.entries}
    assert set(placed) <= set(known)
    loose = {name: words for name, words in known.items() if name not in placed}
    assert [words for words in loose.values() if not NO_MENU(words)] == []
    assert set(paths()) == set(placed)


def test_entries_are_at_most_four_words_in_sentence_case_and_none_is_twice(at_work):
    words = [plain(entry.words) for entry in at_work.window.actions_table.entries]
    words += [menu.words for top in MENUS for menu in levels(top)][len(MENUS) :]
    assert len(set(words) - {"Export"}) >= len(words) - 2
    names = {
        "Mark",
        "Fit",
        "Tighten",
        "Rework",
        "Export",
        "MIDI",
        "SFZ",
        "JACK",
        "Drift",
        "Loudness",
        "Groove",
        "Match",
        "Chronotome",
    }
    for each in words:
        assert len(each.split()) <= 5 if ":" in each else len(each.split()) <= 4, each
        assert each[0].isupper(), each
        rest = each.split()[1:]
        assert not [word for word in rest if word[0].isupper() and word not in names], each


def test_letters_open_and_choose_without_two_of_a_kind_and_no_action_has_a_letter_of_a_menu(at_work):
    window = at_work.window
    tops = [action.text() for action in window.menuBar().actions()]
    letters = "".join(re.findall("&(.)", "".join(tops))).lower()
    assert letters == "fevptmirh"
    for menu in window._menus.values():
        own = re.findall("&(.)", " ".join(action.text() for action in menu.actions()).lower())
        assert len(set(own)) == len(own), menu.title()
    keys = [each for entry in window.actions_table.entries for each in entry.keys.split(", ") if each]
    assert len(set(keys)) == len(keys)
    assert not {f"Alt+{letter}" for letter in letters.upper()} & set(keys)


def test_every_shortcut_does_its_action_in_the_window(at_work):
    table, done = at_work.window.actions_table, []
    table.takes = lambda name: done.append(name) or True
    at_work.window.setFocus()
    wrong = []
    for entry in table.entries:
        for keys in filter(None, entry.keys.split(", ")):
            combination = QKeySequence(keys)[0]
            done.clear()
            table.get(entry.name).setEnabled(True)
            at_work.bot.keyClick(at_work.window, combination.key(), combination.keyboardModifiers())
            if done != [entry.name]:
                wrong.append((entry.name, keys, list(done)))
    assert not wrong


def test_what_cannot_be_done_is_grey_says_what_is_missing_and_would_do_nothing(person, at_work, monkeypatch):
    """In an empty session, with a recording, with hits that are sliced: where grey, keys change nothing."""
    window, desk, table = at_work.window, at_work.desk, at_work.window.actions_table
    for kind, names in ASKING.items():
        for name in names:
            monkeypatch.setattr(kind, name, asks)
    do = {entry.name: entry.do for entry in table.entries}

    def walk():
        seen = 0
        for menu in window.menuBar().actions():
            menu.menu().aboutToShow.emit()
        grey = [
            e.name
            for e in table.entries
            if not table.get(e.name).isEnabled() and e.name not in ("undo", "redo")
        ]
        for name in grey:
            assert table.missing(name) in table.get(name).toolTip().replace("&nbsp;", " "), name
        for menu in window.menuBar().actions():
            menu.menu().aboutToHide.emit()
        for name in grey:
            assert table.get(name).isEnabled()
            before, seen = desk.session, seen + 1
            with contextlib.suppress(AskedError, ChronotomeError):
                do[name]()
            assert desk.session is before, name
            table.run(name)
            assert window.status.words.text() == table.missing(name)
        return seen

    assert walk() > 10
    track = desk.session.tracks[0]
    place = (track.id, track.clips[0].id)
    desk.store.apply(lambda s: take_apart(s, place, Cuts(At.LINES, step=0.25)), "Slice")
    desk.view.show_stage(Stage.REWORK)
    assert not table.missing("whole")
    assert walk() > 5
    desk.document.new()
    at_work.settle()
    assert walk() > 100


def offered(person, lane, place):
    """The words of what a right click in a lane brings, and its actions."""
    point = lane.mapTo(person.window, QPoint(*map(round, place)))
    event = QContextMenuEvent(QContextMenuEvent.Reason.Mouse, point, person.window.mapToGlobal(point))
    QApplication.sendEvent(person.window, event)
    menu = QApplication.activePopupWidget()
    if menu is None:
        return {}
    found = {plain(each.text()): each for each in menu.actions() if each.text()}
    menu.close()
    return found


def test_a_right_click_offers_what_one_would_do_to_what_is_under_it(at_work):
    window, view = at_work.window, at_work.desk.view
    known = {entry.name for entry in window.actions_table.entries}
    for names in CONTEXT.values():
        assert {name for name in names if name != LINE} <= known
        assert 6 <= sum(name != LINE for name in names) <= 14

    drift = window.timeline.evidence["drift"]
    xs, ys, _ = drift._points(drift.shown, drift._scale(drift.shown))
    hit = offered(at_work, drift, (xs[5], ys[5]))
    onset = int(drift.shown.targets.onsets[5])
    assert view.chosen.onset == onset
    hit["Move to later line"].trigger()
    at_work.settle()
    assert at_work.session.tracks[0].clips[0].take.touch_of(onset) is not None

    wave, ruler = window.timeline.wave, window.timeline.ruler
    assert {"Mute track", "Rename track", "Remove track"} <= set(offered(at_work, wave, (20, 60)))
    assert "Add section" in offered(at_work, ruler, (300, 10))
    view.show_stage(Stage.FIT)
    assert "Set beat one" in offered(at_work, wave, (300, 60))
    view.show_stage(Stage.MARK)
    assert "Add onset" in offered(at_work, wave, (wave.content.right() - 3, wave.height() - 5))
    view.show_stage(Stage.REWORK)
    at_work.settle()
    clip = offered(at_work, wave, (wave.x_of(24000), 8))
    assert view.chosen.clips == (view.chosen.place,)
    clip["Reverse"].trigger()
    assert at_work.session.tracks[0].clips[0].take.mirror is not None


class AskedError(Exception):
    """A dialog would open."""


def asks(*_args, **_more):
    raise AskedError


ASKING = {
    QInputDialog: ("getText", "getInt", "getDouble", "getItem"),
    QFileDialog: ("getSaveFileName", "getOpenFileName", "getExistingDirectory"),
    QDialog: ("exec", "open", "show"),
}


def test_pairs_grooves_shapes_and_patterns_offer_too_what_one_would_do(at_work, tmp_path):
    window, view, run = at_work.window, at_work.desk.view, at_work.window.actions_table.run
    timeline = window.timeline
    run("take-groove")
    view.show_evidence(Stage.TIGHTEN, "groove")
    at_work.settle()
    assert "Smooth groove" in offered(at_work, timeline.evidence["groove"], (300, 40))

    write(tmp_path / "other.wav", noise_hits([3000, 60000], 200000, rate=48000), rate=48000)
    window.open([tmp_path / "other.wav"])
    at_work.settle()
    view.chosen.focus(at_work.session.tracks[0].id)
    at_work.desk.store.apply(lambda s: match_to(s, s.tracks[0].id, None, s.tracks[1].id), "Match")
    view.show_evidence(Stage.TIGHTEN, "match")
    at_work.settle()
    match = timeline.evidence["match"]
    top = float(match._view().tops[4])
    assert "Play both paired hits" in offered(at_work, match, (top, 5))
    assert view.chosen.onset == int(match._view().pairs.own.onsets[4])

    view.show_stage(Stage.REWORK)
    run("apart")
    at_work.settle()
    shape = timeline.evidence["shape"]
    starts = timeline.wave.clips[0].plan.sliced.starts
    x = float(shape.xs_of(starts[3:4])[0])
    assert "Swap two hits" in offered(at_work, shape, (x, 30))
    assert view.chosen.hits == (at_work.session.tracks[0].clips[0].take.slices.ids[3],)
    for name in ("select-none", "put-on-keys", "pattern"):
        run(name)
        at_work.settle()
    steps = timeline.evidence["step_shape"]
    x = float(steps._points(steps.steps)[0][2])
    assert "Move steps up" in offered(at_work, steps, (x, 30))
    assert len(view.chosen.steps) == 1
    pattern = timeline.evidence["pattern"]
    assert "Add step" in " ".join(offered(at_work, pattern, (pattern.width() - 30, pattern.height() - 30)))
