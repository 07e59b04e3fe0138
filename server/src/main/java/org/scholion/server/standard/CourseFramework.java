package org.scholion.server.standard;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;

/** A framework that a course uses; the first place is looked at first. */
@Entity
@Table(name = "course_framework")
@IdClass(CourseFramework.Key.class)
class CourseFramework {
    record Key(UUID course, UUID framework) implements Serializable {}

    @Id
    @Column(name = "course_id")
    UUID course;

    @Id
    @Column(name = "framework_id")
    UUID framework;

    int place;

    @SuppressWarnings("NullAway.Init")
    protected CourseFramework() {}
}
