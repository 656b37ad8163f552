package org.swaplane.desktop.session;

/** What a view is known by: the name of its strings and its entry in the rail. Those that others lead to are here. */
public record ViewId(String name) {
    public static final ViewId BOARD = new ViewId("board");
    public static final ViewId DRY_RUN = new ViewId("dry-run");
    public static final ViewId EXCHANGE = new ViewId("exchange");
    public static final ViewId REVIEW = new ViewId("review");
    public static final ViewId CHECKS = new ViewId("checks");
    public static final ViewId RELEASE = new ViewId("release");
    public static final ViewId DESK = new ViewId("desk");
    public static final ViewId REPORT = new ViewId("report");
    public static final ViewId COMPARE = new ViewId("compare");
    public static final ViewId REFERENCES = new ViewId("references");
    public static final ViewId LANE_SETTINGS = new ViewId("lane-settings");

    /** Key of its title. */
    public String titleKey() {
        return "view." + name;
    }
}
