"""Sharing from the window: to the place on this machine, cancelled, and tried again after a refusal."""

import http.client

import pytest
from PySide6.QtGui import QGuiApplication

from chronotome.files.places import load_settings
from chronotome.files.share_place import SharePlace
from chronotome.files.sharing import TRIES


@pytest.fixture
def sharing(at_work, monkeypatch):
    monkeypatch.setattr("chronotome.bridge.sharing.kept_key", lambda _place: None)
    at_work.window.actions_table.run("share")
    at_work.dialog = at_work.window.beside.sharing
    at_work.dialog._practise()
    return at_work


def finished(person):
    person.wait(lambda: not person.dialog._sharing.is_running)
    return person.dialog.told.text()


def test_what_export_would_write_is_at_the_address_that_is_copied(sharing):
    dialog = sharing.dialog
    sharing.window.export_tray.kind.choose(1)
    dialog.showEvent(None)
    assert "FLAC 24 bit" in dialog.what.text()
    dialog.tags.setText("ferry, , stairwell,ferry")
    dialog.who.choose(1)
    dialog.go.click()
    assert dialog.go.text() == "Cancel"
    assert "The address was copied" in finished(sharing)

    address = QGuiApplication.clipboard().text()
    host, _, path = address.removeprefix("http://").partition("/")
    connection = http.client.HTTPConnection(host, timeout=5)
    connection.request("GET", f"/{path}")
    data = connection.getresponse().read()
    assert data[:4] == b"fLaC"
    place = dialog._sharing.practice_place()
    (about,) = [place.shelf.find(each.stem) for each in place.shelf.folder.glob("*.json")]
    assert about.asked.tags == ("ferry", "stairwell")
    assert about.asked.title == sharing.desk.document.title
    assert load_settings().share_place == place.address
    assert place.token not in (sharing.window.export_tray.written.text() + repr(load_settings()))


def test_a_wrong_key_is_told_and_the_right_one_goes_on(sharing):
    dialog = sharing.dialog
    right = dialog.key.text()
    dialog.key.setText("wrong")
    dialog.go.click()
    assert "rejected the key" in finished(sharing)
    assert dialog.go.text() == "Try again"
    dialog.key.setText(right)
    dialog.go.click()
    assert "Uploaded to http://127.0.0.1" in finished(sharing)


def test_cancelled_it_is_taken_back_and_an_address_that_is_none_is_told(sharing):
    dialog = sharing.dialog
    dialog.go.click()
    dialog.go.click()
    assert "The upload was removed" in finished(sharing)
    assert not list(dialog._sharing.practice_place().shelf.folder.iterdir())
    dialog.place.setText("http://harbour.example")
    dialog.go.click()
    assert "not encrypted" in dialog.told.text()
    assert TRIES > 1


def test_a_key_is_for_the_place_it_was_given_for_and_an_upload_goes_on_at_its_own(sharing, tmp_path):
    dialog, asked = sharing.dialog, []
    right, first = dialog.key.text(), dialog.place.text()
    sharing.bot.keyClicks(dialog.key, "x")  # a wrong one
    dialog.go.click()
    assert "rejected the key" in finished(sharing)
    dialog._sharing.ask_key = asked.append

    other = SharePlace(tmp_path / "other").start()
    dialog.place.setText(other.address)
    dialog.place.editingFinished.emit()
    assert dialog.key.text() == ""
    assert asked == [other.address]
    assert dialog.go.text() == "Share"  # nothing broke off on the way there

    dialog.place.setText(first)
    dialog.place.editingFinished.emit()
    dialog._give_key(right)
    assert dialog.go.text() == "Try again"
    dialog.place.setText(other.address)  # and pressed before the field was left
    dialog.go.click()
    assert "for another server" in dialog.told.text()
    assert not list(other.shelf.folder.iterdir())
    other.close()
