package org.scholion.server.course;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;

/** Students of a course under a name, across its sections. */
@Entity
@Table(name = "student_group")
class StudentGroup {
    @Id
    UUID id;

    @Column(name = "school_id")
    UUID school;

    @Column(name = "course_id")
    UUID course;

    String name;

    @ElementCollection
    @CollectionTable(name = "student_group_member", joinColumns = @JoinColumn(name = "group_id"))
    @Column(name = "student_id")
    Set<UUID> students = new HashSet<>();

    @Version
    int revision;

    /** For Hibernate. */
    @SuppressWarnings("NullAway.Init")
    protected StudentGroup() {}

    StudentGroup(UUID id, UUID school, UUID course, String name) {
        this.id = id;
        this.school = school;
        this.course = course;
        this.name = name;
    }
}
