"""Our own controls, by mouse and by keys."""

import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtWidgets import QApplication, QWidget

from chronotome.ui.controls.segmented import Segmented, index_in
from chronotome.ui.controls.typed import FigureLabel, TypedFigure, number_in
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.state.view_state import Stage


@pytest.fixture
def slider(person):
    slider = ValueSlider(person.desk.view, "Reach", 0.0, 100.0, "{:.0f} %".format, step=5.0, usual=40.0)
    person.bot.addWidget(slider)
    slider.resize(214, slider.height())  # two pixels per percent between the ends of the knob
    slider.show()
    slider.told = {"slid": [], "settled": [], "dropped": 0}
    slider.slid.connect(slider.told["slid"].append)
    slider.settled.connect(slider.told["settled"].append)
    slider.dropped.connect(lambda: slider.told.update(dropped=slider.told["dropped"] + 1))
    return slider


def at(percent):
    return QPoint(7 + 2 * percent, 32)


def test_sliding_tells_every_step_and_letting_go_settles_once(person, slider):
    person.drag(slider, (87, 32), (207, 32))

    assert slider.told["slid"] == [55.0, 70.0, 85.0, 100.0]
    assert slider.told["settled"] == [100.0]


def test_a_slider_held_beyond_its_end_stays_within_it(person, slider):
    person.drag(slider, (87, 32), (900, 32))
    person.drag(slider, (87, 32), (-500, 32))

    assert slider.told["settled"] == [100.0, 0.0]


def test_escape_while_sliding_drops_it(person, slider):
    person.drag(slider, (87, 32), (147, 32), release=False)
    person.bot.keyClick(slider, Qt.Key.Key_Escape)
    person.bot.mouseRelease(slider, Qt.MouseButton.LeftButton, pos=at(70))

    assert slider.told["settled"] == []
    assert slider.told["dropped"] == 1


@pytest.mark.parametrize(
    ("key", "value"),
    [
        (Qt.Key.Key_Left, 35.0),
        (Qt.Key.Key_Up, 45.0),
        (Qt.Key.Key_PageDown, 0.0),
        (Qt.Key.Key_PageUp, 90.0),
    ],
)
def test_keys_step_a_slider(person, slider, key, value):
    person.bot.keyClick(slider, key)

    assert slider.told["settled"] == [value]


def test_a_double_click_on_the_track_is_as_usual_and_on_the_name_types(person, slider):
    slider.set_value(90.0)
    person.double_click(slider, (150, 32))
    assert slider.value == 40.0

    person.double_click(slider, (20, 6))

    (field,) = slider.findChildren(TypedFigure)
    assert field.selectedText() == "40 %"


@pytest.mark.parametrize(
    ("typed", "key", "settled"),
    [
        ("62.5", Qt.Key.Key_Return, [62.5]),  # between the steps: typing is exact
        ("250", Qt.Key.Key_Return, [100.0]),
        ("−7", Qt.Key.Key_Return, [0.0]),
        ("many", Qt.Key.Key_Return, []),
        ("62.5", Qt.Key.Key_Escape, []),
        ("40 %", Qt.Key.Key_Return, []),
    ],
)
def test_what_is_typed_is_held_within_the_range_and_may_be_left(person, slider, typed, key, settled):
    slider.type()
    (field,) = slider.findChildren(TypedFigure)
    field.setText(typed)

    person.bot.keyClick(field, key)

    assert slider.told["settled"] == settled
    assert field.isHidden()


def test_leaving_a_typed_figure_keeps_it_once(person, slider):
    kept = []
    parent = QWidget()
    person.bot.addWidget(parent)
    parent.show()
    field = TypedFigure(parent, parent.rect(), "1", kept.append, "Bars")
    field.setText("3")

    field.clearFocus()
    QApplication.processEvents()
    field._end(is_kept=True)

    assert kept == ["3"]


@pytest.mark.parametrize(
    ("text", "number"),
    [
        ("12,5 ms", 12.5),
        ("±3", 3.0),
        ("×1.25", 1.25),
        ("−0.5", -0.5),
        (".5", 0.5),
        ("bar 3", None),
        ("", None),
    ],
)
def test_a_number_is_read_with_its_sign_and_unit(text, number):
    assert number_in(text) == number


def test_a_label_passes_on_what_was_typed_as_it_is(person):
    label, told = FigureLabel("4.1.1"), []
    person.bot.addWidget(label)
    label.typed.connect(told.append)
    label.show()

    person.double_click(label, (5, 5))
    (field,) = label.findChildren(TypedFigure)
    field.setText("9.2")
    person.bot.keyClick(field, Qt.Key.Key_Return)

    assert told == ["9.2"]


def test_a_choice_is_made_by_click_and_arrows_and_stops_at_its_ends(person):
    choice, told = Segmented(person.desk.view, "Grid", ["1/4", "1/8", "1/16"]), []
    person.bot.addWidget(choice)
    choice.resize(210, 30)
    choice.chosen.connect(told.append)

    person.click(choice, (180, 15))
    person.click(choice, (180, 15))
    person.bot.keyClick(choice, Qt.Key.Key_Right)
    person.bot.keyClick(choice, Qt.Key.Key_Left)

    assert told == [2, 1]
    assert choice.accessibleName().endswith(": 1/8")


def test_a_value_that_the_window_does_not_offer_lights_nothing(person):
    choice = Segmented(person.desk.view, "Grid", ["1/4", "1/8"])
    person.bot.addWidget(choice)

    choice.set_index(index_in((4, 8), 12))

    assert (choice.index, choice.accessibleName()) == (-1, "Grid")


# In the window


def test_mute_and_solo_stand_on_the_tall_lane_of_a_new_session(at_work):
    buttons = at_work.window.timeline.wave.buttons
    assert buttons.isVisible()

    at_work.click(buttons._mute, (8, 8))
    at_work.click(buttons._solo, (8, 8))

    assert at_work.session.tracks[0].is_muted
    assert at_work.session.tracks[0].is_solo
    assert at_work.desk.store.history.undo_label == "Solo track"


def test_the_overview_scrolls_without_leaving_the_take(at_work):
    view, strip = at_work.desk.view, at_work.window.timeline.overview
    view.sight.zoom(8.0, 100)
    span = view.sight.viewport.end - view.sight.viewport.start

    at_work.drag(strip, (300, 15), (5000, 15))

    assert view.sight.viewport.end == pytest.approx(view.sight.extent + span / 3)
    assert view.sight.viewport.end - view.sight.viewport.start == pytest.approx(span)


def test_the_wheel_over_a_slider_scrolls_its_tray_and_changes_nothing(at_work):
    before = at_work.session
    slider = at_work.window.trays[Stage.TIGHTEN].strength

    at_work.wheel(slider, 120)

    assert at_work.session is before


@pytest.mark.parametrize("is_undone", [False, True])
def test_while_a_setting_slides_the_overview_waits_and_then_tells_it(at_work, is_undone):
    strip, slider = at_work.window.timeline.overview, at_work.window.trays[Stage.TIGHTEN].strength
    strip.grab()
    before = strip._image

    at_work.drag(slider, (40, 32), (200, 32), release=False)
    strip.grab()
    assert strip._image is before

    if is_undone:
        at_work.bot.keyClick(slider, Qt.Key.Key_Escape)
    at_work.bot.mouseRelease(slider, Qt.MouseButton.LeftButton, pos=QPoint(200, 32))
    strip.grab()
    assert (strip._image is before) is is_undone


@pytest.mark.parametrize("stage", list(Stage))
def test_every_tray_is_laid_out_within_its_width(at_work, stage):
    at_work.desk.view.show_stage(stage)
    at_work.settle()

    tray = at_work.window.trays[stage]
    at_work.wait(lambda: tray.layout().geometry().width() == tray.width())
    wide = [each for each in tray.findChildren(QWidget) if each.isVisible() and each.width() > tray.width()]
    assert wide == []
