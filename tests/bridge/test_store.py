import gc

import shiboken6
from hypothesis import settings
from hypothesis.stateful import RuleBasedStateMachine, invariant, rule
from PySide6.QtCore import QObject

from chronotome.bridge.store import Store
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.history import MOST_STEPS, History
from chronotome.session.limits import MOST_FRAMES
from chronotome.session.model import Session, replace
from strategies import edits, simple_session

START = simple_session([0, 6000, 12000], 20000)


class StoreMachine(RuleBasedStateMachine):
    """Any run of apply, draft, drop, undo, redo and amend agrees with a plain list."""

    def __init__(self) -> None:
        super().__init__()
        self.store = Store()
        self.store.reset(History(START), is_saved=True)
        self.steps: list[Session] = [START]
        self.at = 0
        self.draft: Session | None = None
        self.heard: list[Session] = []
        self.store.changed.connect(lambda _before, after: self.heard.append(after))

    @rule(edit=edits())
    def apply(self, edit) -> None:
        self.store.apply(edit, "Edit")
        new = edit(self.steps[self.at])
        if new is not self.steps[self.at]:
            self.steps = [*self.steps[: self.at + 1], self.store.history.session]
            self.at += 1
        self.draft = None

    @rule(edit=edits())
    def try_out(self, edit) -> None:
        self.store.draft(edit)
        self.draft = edit(self.steps[self.at])

    @rule()
    def drop(self) -> None:
        self.store.drop_draft()
        self.draft = None

    @rule()
    def undo(self) -> None:
        self.store.undo()
        if self.at:
            self.at -= 1
            self.draft = None

    @rule()
    def redo(self) -> None:
        self.store.redo()
        if self.at + 1 < len(self.steps):
            self.at += 1
            self.draft = None

    @invariant()
    def the_store_shows_what_the_list_says(self) -> None:
        assert self.store.history.session == self.steps[self.at]
        assert self.store.session == (self.draft or self.steps[self.at])
        assert len(self.store.history.past) == self.at
        assert len(self.store.history.future) == len(self.steps) - 1 - self.at
        assert not self.heard or self.heard[-1] is self.store.session

    @invariant()
    def it_is_modified_where_it_is_not_the_saved_object(self) -> None:
        assert self.store.is_modified == (self.store.history.session is not START)


TestStore = StoreMachine.TestCase
TestStore.settings = settings(max_examples=25, stateful_step_count=20, deadline=None)


def tempo(value):
    return lambda session: set_tempo(session, value)


def test_drafts_do_not_pile_up_and_one_gesture_is_one_step():
    store = Store()
    store.reset(History(START), is_saved=True)

    for value in (90, 95, 100):
        store.draft(tempo(value))
    store.apply(tempo(100), "Set tempo")

    assert len(store.history.past) == 1
    assert store.history.undo_label == "Set tempo"


def test_a_watcher_hears_of_its_part_only_and_not_after_its_owner_is_gone():
    store = Store()
    store.reset(History(START), is_saved=True)
    owner, heard = QObject(), []
    store.watch(owner, lambda: heard.append(1), lambda session: session.tempo)

    store.apply(lambda session: session, "Nothing")
    store.apply(tempo(91), "Set tempo")
    seen = len(heard)
    owner.deleteLater()
    del owner
    gc.collect()

    assert seen == 2


def test_undoing_back_to_what_was_saved_makes_it_clean_again():
    store = Store()
    store.reset(History(START), is_saved=True)
    store.apply(tempo(91), "Set tempo")
    was_modified = store.is_modified

    store.undo()

    assert was_modified
    assert not store.is_modified


def test_what_the_machine_finds_out_is_no_step_and_reaches_the_draft_too():
    store = Store()
    store.reset(History(START), is_saved=True)
    store.draft(tempo(91))

    store.amend(lambda session: set_tempo(session, session.tempo.at(0.0) + 1))

    assert store.session.tempo.at(0.0) == 92
    assert not store.history.past
    assert not store.is_modified


def test_of_very_many_steps_the_newest_can_be_undone():
    store = Store()
    store.reset(History(START), is_saved=True)
    for number in range(MOST_STEPS + 20):
        store.apply(lambda session, bpm=60.0 + number / 8: set_tempo(session, bpm), f"Step {number}")

    for _ in range(MOST_STEPS):
        assert store.history.past
        store.undo()

    assert not store.history.past
    assert store.session.tempo.at(0.0) == 60.0 + 19 / 8


def test_what_is_kept_is_told_with_its_kind_for_the_journal(qapp):
    store, told = Store(), []
    store.reset(History(simple_session([0, 12000], 24000)), is_saved=True)
    store.kept.connect(lambda kind, history: told.append((kind, history.session is store.session)))

    store.apply(lambda s: set_tempo(s, 99.0), "Tempo")
    store.apply(lambda s: s, "Nothing")
    store.undo()
    store.redo()
    store.apply_again(lambda s: set_tempo(s, 98.0), "Tempo")
    store.undo()
    store.undo()

    assert [kind for kind, _ in told] == ["then", "undo", "redo", "undo", "then", "undo"]
    assert [is_now for _, is_now in told] == [True, True, True, False, True, True]


def test_who_is_gone_is_not_called_any_more(qapp):
    store, owner, heard = Store(), QObject(), []
    store.watch(owner, lambda: heard.append(1), lambda session: session.tempo)
    assert heard == [1]

    shiboken6.delete(owner)
    store.apply(lambda session: set_tempo(session, 99.0), "Tempo")

    assert heard == [1]


def test_an_edit_that_leads_beyond_what_a_document_holds_is_not_made():
    store, said = Store(), []
    store.refused.connect(said.append)
    store.reset(History(simple_session([0, 6000], 20000)), is_saved=True)
    before, track = store.session, store.session.tracks[0]
    far = replace(track.clips[0], take=replace(track.clips[0].take, start=MOST_FRAMES + 1))
    edit = lambda session: replace(session, tracks=(replace(track, clips=(far,)),))
    store.apply(edit, "Far away")
    store.draft(edit)
    assert store.session is before
    assert not store.history.past
    assert len(said) == 2


def test_what_grows_is_asked_what_every_edit_is_asked():
    store, said = Store(), []
    store.reset(History(START), is_saved=True)
    store.refused.connect(said.append)
    store.apply(lambda session: set_tempo(session, 97.0), "Tempo")
    before = store.session
    clip = START.tracks[0].clips[0]
    far = replace(clip, take=replace(clip.take, start=MOST_FRAMES + 1))

    store.apply_again(lambda s: replace(s, tracks=(replace(s.tracks[0], clips=(far,)),)), "Tempo")

    assert said
    assert store.session is before
    assert len(store.history.past) == 1
