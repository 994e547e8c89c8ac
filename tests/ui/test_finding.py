"""Find anything: sifted as one types, gone through by keys, done by Enter, left by Escape."""

import pytest
from PySide6.QtCore import Qt

from chronotome.session.edits.sections import add_section
from chronotome.ui.actions.menus import paths
from chronotome.ui.dialogs.finding import FindDialog, Item, findable, found


@pytest.fixture
def finding(at_work):
    """The dialog over a window with two sections, and what was done."""
    at_work.desk.store.apply(lambda s: add_section(s, "verse", 0.0, 4.0), "Section")
    at_work.desk.store.apply(lambda s: add_section(s, "bridge", 4.0, 6.0), "Section")
    window = at_work.window
    items = findable(at_work.desk, window.commands, window.actions_table, window.beside)
    at_work.dialog = FindDialog(items, at_work.window)
    at_work.dialog.open()
    yield at_work
    at_work.dialog.reject()


def names(dialog):
    return [dialog.list.topLevelItem(row).text(0) for row in range(dialog.list.topLevelItemCount())]


def test_words_that_begin_with_what_was_typed_come_first_and_names_before_kinds():
    items = [Item(words, about, keys, None) for words, about, keys in (
        ("Bring the clip back", "Clip", ""),
        ("Clip: mute", "Clip", "Shift+M"),
        ("Undo", "Clip", ""),
        ("Eclipse", "track", ""),
    )]  # fmt: skip
    assert [item.words for item in found(items, "clip")] == [
        "Clip: mute",
        "Bring the clip back",
        "Undo",
        "Eclipse",
    ]
    assert [item.words for item in found(items, "MUTE clip")] == ["Clip: mute"]
    assert [item.words for item in found(items, "shift+m")] == ["Clip: mute"]
    assert [item.words for item in found(items, "eclpse")] == ["Eclipse"]
    assert found(items, "nowhere") == []
    assert len(found(items, "")) == 4


@pytest.mark.parametrize(
    ("typed", "first"),
    [
        ("half time", "Half time"),
        ("quantise", "Tighten again"),
        ("chop", "Slice at onsets"),
        ("glue", "Join"),
        ("dark mode", "Dark theme"),
        ("tihgten agan", "Tighten again"),
        ("nudge hits -10", "Nudge hits −10 ms"),
        ("metronome", "Metronome"),
        ("3 tighten", "3 Tighten"),
        ("stairwell", "stairwell"),
    ],
)
def test_exact_names_come_first_then_how_they_begin_other_trades_words_and_slips(finding, typed, first):
    assert found(finding.dialog._items, typed)[0].words == first


@pytest.mark.parametrize(
    ("typed", "is_set"), [("strength 80", 0.8), ("stren 33,5 %", 0.335), ("strength 999", 1.0)]
)
def test_a_value_is_shown_and_set_by_typing_it(finding, typed, is_set):
    items = {item.words: item for item in finding.dialog._items}
    assert items["Strength"].keys == "50 %"
    finding.bot.keyClicks(finding.dialog.typed, typed)
    assert names(finding.dialog)[0].startswith("Strength: set to")
    finding.press_in(finding.dialog.typed, Qt.Key.Key_Return)
    finding.dialog.chosen.do()
    assert finding.session.tracks[0].tighten.strength == pytest.approx(is_set, abs=0.005)


def test_every_action_track_section_and_place_to_check_is_there_with_its_keys(finding):
    dialog, table = finding.dialog, finding.window.actions_table
    shown, way = {(item.words, item.about): item.keys for item in dialog._items}, paths()
    for entry in table.entries:
        if entry.name != "find":
            assert shown[entry.words.rstrip("…"), way.get(entry.name, "")] == table.keys(entry.name)
    assert ("stairwell", "track") in shown
    assert {("verse", "section"), ("bridge", "section")} <= set(shown)
    checks = finding.desk.checks(finding.desk.guiding.track, finding.desk.guiding.take)
    assert sum(about == "to check" for _, about in shown) == len(
        {check.title + str(check.beat) for check in checks}
    )


def test_what_is_typed_sifts_and_keys_go_through_it(finding):
    dialog = finding.dialog
    finding.bot.keyClicks(dialog.typed, "slice")
    shown = names(dialog)
    assert shown[0].startswith("Slice")
    finding.press_in(dialog.typed, Qt.Key.Key_Down)
    finding.press_in(dialog.typed, Qt.Key.Key_Down)
    finding.press_in(dialog.typed, Qt.Key.Key_Up)
    finding.press_in(dialog.typed, Qt.Key.Key_Return)
    assert dialog.result() == 1
    assert dialog.chosen.words == shown[1]


def test_nothing_of_that_name_is_said_and_enter_does_nothing(finding):
    dialog = finding.dialog
    finding.bot.keyClicks(dialog.typed, "zzz")
    finding.press_in(dialog.typed, Qt.Key.Key_Return)
    assert dialog.isVisible()
    assert "another word" in dialog.told.text()
    finding.press_in(dialog.typed, Qt.Key.Key_Escape)
    assert dialog.chosen is None


def test_one_key_opens_it_and_what_is_chosen_is_done(at_work, monkeypatch):
    at_work.desk.store.apply(lambda s: add_section(s, "bridge", 4.0, 6.0), "Section")

    def choose(words):
        def run(dialog):
            at_work.bot.keyClicks(dialog.typed, words)
            item = dialog.list.topLevelItem(0)
            dialog.show()
            at_work.click(dialog.list.viewport(), dialog.list.visualItemRect(item).center().toTuple())
            return dialog.result()

        monkeypatch.setattr(FindDialog, "exec", run)
        at_work.window.actions_table.run("find")
        at_work.settle()

    choose("reverse")
    assert at_work.session.tracks[0].clips[0].take.mirror is not None
    choose("bridge section")
    assert at_work.desk.transport.position == pytest.approx(at_work.session.frame_of(4.0), abs=1)


def test_it_opens_by_its_key_and_left_it_changes_nothing(at_work, monkeypatch):
    before, opened = at_work.session, []
    monkeypatch.setattr(FindDialog, "exec", lambda dialog: opened.append(dialog) or 0)
    at_work.press(Qt.Key.Key_F3)
    assert len(opened) == 1
    assert at_work.session is before
